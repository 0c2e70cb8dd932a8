import { useState } from 'react';
import type { Stored } from './stored.ts';

/** A state that outlives a change of section and a reload; `clear` gives it up and shows `empty`. */
export function useStored<T>(
  kept: Stored<T>,
  empty: T,
): readonly [value: T, set: (next: T) => void, clear: () => void] {
  const [value, setValue] = useState(() => kept.load());
  return [
    value,
    (next) => {
      setValue(next);
      kept.save(next);
    },
    () => {
      setValue(empty);
      kept.clear();
    },
  ];
}
