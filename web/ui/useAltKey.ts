import { useEffect } from 'react';

/** Alt with a letter, wherever the focus is. */
export function useAltKey(code: `Key${string}`, act: () => void): void {
  useAlt((pressed) => {
    if (pressed !== code) return false;
    act();
    return true;
  });
}

/** Alt with a digit from 1 on, wherever the focus is. */
export function useAltDigit(act: (digit: number) => void): void {
  useAlt((pressed) => {
    const [, digit] = /^Digit([1-9])$/u.exec(pressed) ?? [];
    if (!digit) return false;
    act(Number(digit));
    return true;
  });
}

function useAlt(act: (code: string) => boolean): void {
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.altKey && !event.ctrlKey && act(event.code)) event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });
}
