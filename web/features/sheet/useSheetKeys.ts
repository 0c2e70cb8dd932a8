import { useEffect, type RefObject } from 'react';
import { typingIn } from '../../ui/typingIn.ts';
import { useAltKey } from '../../ui/useAltKey.ts';

interface SheetKeys {
  input: RefObject<HTMLInputElement | null>;
  onUndo: () => void;
}

/** A digit typed anywhere starts an entry; Alt+Z takes the last entry back. */
export function useSheetKeys({ input, onUndo }: SheetKeys): void {
  useAltKey('KeyZ', onUndo);
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      const bare = !event.altKey && !event.ctrlKey && !event.metaKey;
      // The digit itself then lands in the line.
      if (bare && /^[0-9]$/u.test(event.key) && !typingIn(event.target)) input.current?.focus();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
