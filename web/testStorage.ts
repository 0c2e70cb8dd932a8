/** A browser's storage for tests that run without a browser. */
export function fakeStorage(): Storage & Record<string, string> {
  const store: Record<string, string> = {};
  const methods = {
    getItem: (key: string) => store[key] ?? null,
    setItem: (key: string, value: string) => void (store[key] = value),
    removeItem: (key: string) => void delete store[key],
    clear: () => Object.keys(store).forEach((key) => delete store[key]),
    key: (index: number) => Object.keys(store)[index] ?? null,
    get length() {
      return Object.keys(store).length;
    },
  };
  // Object.keys(localStorage) lists what is stored, so the methods must not be among the keys.
  return new Proxy(store, {
    get: (_target, name) => methods[name as keyof typeof methods] ?? store[name as string],
  }) as never;
}
