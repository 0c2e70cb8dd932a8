import { curveOf } from './curve.ts';
import type { SensorProfile } from './sensorProfile.ts';
import { toleranceAt } from './toleranceAt.ts';

/** What a signal says of the value when it stands at or past an end: not how much, only on which side. */
export interface Bound {
  is: 'at-or-below' | 'at-or-above';
  value: number;
}

/** Rounding of what was typed and worked out, in volts: an end that is met exactly is inside. */
const ROUNDING_VOLTS = 1e-9;
/**
 * A hot element that is dead or unheated reads below still air. Its curve is steep there, so that a tolerance in g/s would
 * take half a volt for still air: this much is taken instead (common practice).
 */
const STILL_AIR_VOLTS = 0.05;

/**
 * Whether a signal is past what its sensor is made to say: beyond an end of the range by more than the tolerance, or where
 * the electronics saturate. Judged in volts, since past its ends a curve may give any number.
 *
 * @param signalVolts against the sensor's own return
 * @returns undefined inside
 */
export function boundOf(signalVolts: number, supplyVolts: number, profile: SensorProfile): Bound | undefined {
  const curve = curveOf(profile, supplyVolts);
  if (curve.valuesAt) return boundOfTurning(signalVolts, supplyVolts, profile);
  for (const { is, value, outward, saturatesVolts, farthestVolts } of endsOf(supplyVolts, profile)) {
    if (saturatesVolts !== undefined && outward * (signalVolts - saturatesVolts) >= -ROUNDING_VOLTS) {
      return { is, value: curve.valueAt(saturatesVolts) };
    }
    if (outward * (signalVolts - farthestVolts) > ROUNDING_VOLTS) return { is, value };
  }
  return undefined;
}

interface RangeEnd extends Bound {
  /** Towards higher volts, or lower ones. */
  outward: 1 | -1;
  saturatesVolts: number | undefined;
  /** The end itself and what its tolerance may be past it. */
  farthestVolts: number;
}

/** Thousands of signals in a row are judged at one supply, and a curve is solved for its ends by halving. */
const lastAsked = new WeakMap<SensorProfile, { supplyVolts: number; ends: readonly RangeEnd[] }>();

function endsOf(supplyVolts: number, profile: SensorProfile): readonly RangeEnd[] {
  const last = lastAsked.get(profile);
  if (last?.supplyVolts === supplyVolts) return last.ends;
  const curve = curveOf(profile, supplyVolts);
  const rising = curve.voltsAt(profile.highest) > curve.voltsAt(profile.lowest);
  const ends = (['at-or-below', 'at-or-above'] as const).map((is): RangeEnd => {
    const value = is === 'at-or-below' ? profile.lowest : profile.highest;
    const outward = rising === (is === 'at-or-above') ? 1 : -1;
    return {
      is,
      value,
      outward,
      saturatesVolts: saturationVolts(outward, supplyVolts, profile),
      farthestVolts: curve.voltsAt(value) + outward * slackVolts(value, is, supplyVolts, profile),
    };
  });
  lastAsked.set(profile, { supplyVolts, ends });
  return ends;
}

function slackVolts(value: number, is: Bound['is'], supplyVolts: number, profile: SensorProfile): number {
  const curve = curveOf(profile, supplyVolts);
  const past = toleranceAt(value, profile) * (is === 'at-or-above' ? 1 : -1);
  const slack = Math.abs(curve.voltsAt(value + past) - curve.voltsAt(value));
  return profile.transfer.form === 'hot-element' && is === 'at-or-below'
    ? Math.min(slack, STILL_AIR_VOLTS)
    : slack;
}

/** In volts of this supply; undefined where the profile does not say. */
function saturationVolts(
  outward: 1 | -1,
  supplyVolts: number,
  { outputVolts, transfer, nominalReferenceVolts }: SensorProfile,
): number | undefined {
  if (!outputVolts) return undefined;
  const follows = transfer.form === 'ratiometric' || ('ratiometric' in transfer && transfer.ratiometric);
  const stated = outward > 0 ? outputVolts.highest : outputVolts.lowest;
  return follows ? (stated * supplyVolts) / nominalReferenceVolts : stated;
}

/** Of a curve that turns no side of the volts is the higher one: only values that are all past an end are a bound. */
function boundOfTurning(signalVolts: number, supplyVolts: number, profile: SensorProfile): Bound | undefined {
  const { lowest, highest } = curveOf(profile, supplyVolts).valuesAt!(signalVolts, 0);
  if (lowest > profile.highest + toleranceAt(profile.highest, profile))
    return { is: 'at-or-above', value: profile.highest };
  if (highest < profile.lowest - toleranceAt(profile.lowest, profile))
    return { is: 'at-or-below', value: profile.lowest };
  return undefined;
}
