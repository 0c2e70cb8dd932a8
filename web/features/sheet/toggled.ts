/** Without an item that is there, with one that is not. */
export const toggled = <T>(list: readonly T[], item: T): T[] =>
  list.includes(item) ? list.filter((one) => one !== item) : [...list, item];
