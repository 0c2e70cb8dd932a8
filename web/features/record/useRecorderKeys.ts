import { useEffect } from 'react';
import { typingIn } from '../../ui/typingIn.ts';

/** Single letters that act while nobody types: one hand is on the pedal. One without an action is left to the page. */
export function useRecorderKeys(actions: Readonly<Record<string, (() => void) | undefined>>): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || typingIn(event.target)) return;
      const action = actions[event.key.toLowerCase()];
      if (!action) return;
      event.preventDefault();
      action();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
