/** By the clock on the wall: a day is the same everywhere. */
export const todayHere = (now = new Date()): string =>
  [now.getFullYear(), now.getMonth() + 1, now.getDate()]
    .map((part) => String(part).padStart(2, '0'))
    .join('-');
