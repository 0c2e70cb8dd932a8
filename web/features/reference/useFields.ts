import { useCallback, useMemo } from 'react';
import { useSearchParams } from 'react-router';

export interface Fields<T extends Record<string, string>> {
  values: T;
  set: (name: keyof T & string, value: string) => void;
}

/** The fields of a calculator live in the address, so that a calculation can be shared, kept and gone back to. */
export function useFields<T extends Record<string, string>>(defaults: T): Fields<T> {
  const [search, setSearch] = useSearchParams();
  const values = useMemo(
    () =>
      Object.fromEntries(
        Object.entries(defaults).map(([name, value]) => [name, search.get(name) ?? value]),
      ) as T,
    [defaults, search],
  );
  const set = useCallback(
    (name: string, value: string) => {
      setSearch(
        (before) => {
          const after = new URLSearchParams(before);
          after.set(name, value);
          return after;
        },
        { replace: true },
      );
    },
    [setSearch],
  );
  return { values, set };
}
