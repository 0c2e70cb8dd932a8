/**
 * What a sound unit and a sound wire give, all common practice: what an unread wire may be off by, and from where on a
 * read one is a fault. Lanes, expectations and comparisons share these.
 */
/** The reference is normal within ±0.1 V of its nominal value. */
export const REFERENCE_TOLERANCE_VOLTS = 0.1;
/** A return stays within 50 mV of battery negative under load. */
export const NORMAL_RETURN_VOLTS = 0.05;

/** How far a faulty supply may go while its sensor still gives a signal: what an unread wire may explain. */
export const CONCEIVABLE_RETURN_VOLTS = { lowest: -0.1, highest: 1 } as const;
/** As a share of the nominal reference; below the lowest a stage gives nothing, above the highest the unit is at fault. */
export const CONCEIVABLE_REFERENCE_SHARE = { lowest: 0.6, highest: 1.1 } as const;
