/** As text that is the same for what says the same: what comes back from the server has its fields in another order. */
export const inOrder = (given: unknown): string =>
  JSON.stringify(given, (_key, value: unknown) =>
    typeof value === 'object' && value !== null && !Array.isArray(value)
      ? Object.fromEntries(Object.entries(value).sort(([a], [b]) => (a < b ? -1 : 1)))
      : value,
  );
