import type { PulseTransfer } from '../transfer/index.ts';

/** Common practice for hand-held meters that count: of what they show, and of the last digits; the instrument's own paper is better. */
const COUNTED_SHARE = 0.003;
const LAST_DIGITS_HERTZ = 0.2;
/** A duty also moves with where the meter sees an edge. */
const DUTY_PERCENT = 1.2;

/** Limits of error of what a meter counted, in hertz or in percent as it was shown. */
export const counterLimit = (form: PulseTransfer['form'], shown: number): number =>
  form === 'duty' ? DUTY_PERCENT : COUNTED_SHARE * shown + LAST_DIGITS_HERTZ;
