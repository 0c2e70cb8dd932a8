/** Practice cases are named by letter only, so that what is wrong stays hidden. */
export const CASE_LETTERS = ['A', 'B', 'C', 'D', 'E', 'F', 'G', 'H'] as const;
export type CaseLetter = (typeof CASE_LETTERS)[number];
