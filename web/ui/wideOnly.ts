/** A column for a laptop; on a tablet held upright what it says is left out, or stands below something else. */
export const WIDE_ONLY = { display: { xs: 'none', md: 'table-cell' } } as const;
/** That something else. */
export const NARROW_ONLY = { display: { xs: 'block', md: 'none' } } as const;
