import { useEffect, useState } from 'react';

/** A value that follows once its source has been still for a moment: for work too heavy to do at every letter. */
export function useSettled<T>(value: T, stillMs: number): T {
  const [settled, setSettled] = useState(value);
  useEffect(() => {
    const timer = setTimeout(() => setSettled(value), stillMs);
    return () => clearTimeout(timer);
  }, [value, stillMs]);
  return settled;
}
