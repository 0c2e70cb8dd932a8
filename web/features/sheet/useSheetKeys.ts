import { useEffect, type RefObject } from 'react';
import { typingIn } from '../../ui/typingIn.ts';

interface SheetKeys {
  input: RefObject<HTMLInputElement | null>;
  onNext: () => void;
  onUndo: () => void;
}

/** A digit typed anywhere starts an entry; Alt+N goes to the next reading, Alt+Z takes the last entry back. */
export function useSheetKeys({ input, onNext, onUndo }: SheetKeys): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey && !event.ctrlKey && event.code === 'KeyN') {
        event.preventDefault();
        onNext();
      } else if (event.altKey && !event.ctrlKey && event.code === 'KeyZ') {
        event.preventDefault();
        onUndo();
      } else if (
        /^[0-9]$/u.test(event.key) &&
        !event.altKey &&
        !event.ctrlKey &&
        !event.metaKey &&
        !typingIn(event.target)
      ) {
        input.current?.focus(); // the digit itself then lands in the line
      }
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
