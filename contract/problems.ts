import { z } from 'zod';

/** RFC 9457 problem details; `next` says what to do, `errors` which fields are meant. */
export const problemDetails = z.object({
  type: z.string(),
  title: z.string(),
  status: z.int(),
  detail: z.string(),
  next: z.string(),
  errors: z.array(z.object({ path: z.string(), message: z.string() })).optional(),
});
export type ProblemDetails = z.infer<typeof problemDetails>;

/** The only place a problem's `type` is spelled. */
export const problemType = (code: string): string => `urn:lettura:problem:${code}`;
