/** Letters and digits of a name, for a file that is called after it. */
export const fileName = (name: string): string =>
  name.replace(/[^\p{L}\p{N}]+/gu, '-').replace(/^-|-$/gu, '');
