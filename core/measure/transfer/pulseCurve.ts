import { isMonotone } from './isMonotone.ts';
import { tableCurve, type OwnCurve } from './ownCurves.ts';
import type { CurvePoint, DutyTransfer, FrequencyTransfer } from './sensorProfile.ts';

export type PulseTransfer = FrequencyTransfer | DutyTransfer;

/** Between what duties a line still goes to and fro, in percent of the time; at the ends it stands. */
export const PULSE_PERCENT = [1, 99] as const;
/** The slowest and the fastest line that is taken for one, in hertz. */
export const PULSE_HERTZ = [1, 100_000] as const;

/** Above the highest frequency of the points there is room: a sensor goes past its range before it goes past everything. */
const ROOM_ABOVE = 1.25;

const builtOf = new WeakMap<PulseTransfer, OwnCurve>();

/** The curve of pulses with a share where others have volts: of the time, or of a frequency that none of the points reaches. */
export function pulseCurve(transfer: PulseTransfer): OwnCurve {
  const known = builtOf.get(transfer);
  if (known) return known;
  const curve = tableCurve({ form: 'table', points: sharesOf(transfer), ratiometric: true });
  builtOf.set(transfer, curve);
  return curve;
}

/** Whether every frequency or duty means one value. */
export const isPulseCurve = (transfer: PulseTransfer): boolean => isMonotone(sharesOf(transfer));

function sharesOf(transfer: PulseTransfer): CurvePoint[] {
  if (transfer.form === 'duty')
    return transfer.points.map(({ upPercent, value }) => ({ volts: upPercent / 100, value }));
  const full = fullHertz(transfer);
  return transfer.points.map(({ hertz, value }) => ({ volts: hertz / full, value }));
}

const fullHertz = ({ points }: FrequencyTransfer): number =>
  ROOM_ABOVE * points.reduce((most, { hertz }) => Math.max(most, hertz), 0);

/** What stands for the whole of it, in hertz or in percent: so many shares of it are the volts that its curve is laid out in. */
export const fullPulses = (transfer: PulseTransfer): number =>
  transfer.form === 'duty' ? 100 : fullHertz(transfer);

/** Whether a meter that shows this is on a line that goes to and fro at all; `shown` in hertz or in percent. */
export const arePulses = (form: PulseTransfer['form'], shown: number): boolean =>
  form === 'duty'
    ? shown >= PULSE_PERCENT[0] && shown <= PULSE_PERCENT[1]
    : shown >= PULSE_HERTZ[0] && shown <= PULSE_HERTZ[1];

/** The value that a line says in pulses, in the measurand’s unit, not clamped; `upShare` is of the time. */
export const valueOfPulses = (
  { hertz, upShare }: { hertz: number; upShare: number },
  transfer: PulseTransfer,
): number => pulseCurve(transfer).valueAt(transfer.form === 'duty' ? upShare : hertz / fullHertz(transfer));
