import { useEffect } from 'react';

/** Alt with a letter, wherever the focus is. */
export function useAltKey(code: `Key${string}`, act: () => void): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (!event.altKey || event.ctrlKey || event.code !== code) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
