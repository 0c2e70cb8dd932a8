import { type Workshop } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { type Problem } from '@lettura/core/measure/problem';

export const shownOf = ({ name, address, revision }: Workshop) => ({ name, address, revision });

export const UNREADABLE: Problem = {
  code: 'unreadable',
  message: say('app.file-cannot-be-read'),
  next: say('app.choose-file-again'),
};

/** Read in this browser; what is no picture is told when it is saved. */
export const asDataUrl = (file: File): Promise<string> =>
  new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.addEventListener('load', () => {
      if (typeof reader.result === 'string') resolve(reader.result);
    });
    reader.addEventListener('error', () => reject(reader.error ?? new Error('unreadable')));
    reader.readAsDataURL(file);
  });
