/** What a voltmeter puts between its probes. */
export const METER_OHMS = 10e6;
/** A jumper wire with its two clips. */
export const JUMPER_OHMS = 0.05;
/** Before a known voltage that is fed in, so that it harms nothing. */
export const SOURCE_OHMS = 220;
