/** A sheet of paper on the desk: what belongs together lies on one. */
export const PAPER = {
  bgcolor: 'background.paper',
  border: 1,
  borderColor: 'sheet.rule',
  borderRadius: 1,
  p: 1.25,
  minWidth: 0,
} as const;
