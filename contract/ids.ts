import { z } from 'zod';

/** Made by the client, so that a repeated request changes nothing. */
export const id = z.uuidv7('This is not a UUID v7.');
export const instant = z.iso.datetime({ offset: true });
