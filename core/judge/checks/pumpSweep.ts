import { isPumpedDown } from '../../machine/family/index.ts';
import { isPulses, type MachineState } from '../../machine/places/index.ts';
import { fromKpa, toKpa, type PressureUnit } from '../../measure/quantity/index.ts';
import type { CaseFile } from './caseFile.ts';

/** Deeper than this a hand pump gets slow, and its gauge ends soon (common practice). */
const DEEPEST_VACUUM_KPA = toKpa(25, 'inHg');
/** More is hard work on a hand pump, and near what its hose stands (common practice). */
const MOST_PUMPED_UP_KPA = 200;

/** What is pumped: its family says which way. */
export type Pumped = Pick<CaseFile, 'family' | 'profile'>;

/**
 * Pump settings in even steps of a round number in the reader's unit, from ambient to the end of what the sensor and
 * a hand pump can do: down for an absolute sensor, up for the others and for boost. kPa above ambient, minus for vacuum.
 */
export function pumpSteps(
  { family, profile: { measures, lowest, highest } }: Pumped,
  ambientKpaAbs: number,
  unit: PressureUnit,
  points: number,
): number[] {
  const down = isPumpedDown(family, measures);
  const farthestKpa = down
    ? Math.min(DEEPEST_VACUUM_KPA, ambientKpaAbs - lowest)
    : measures === 'absolute-pressure'
      ? Math.min(MOST_PUMPED_UP_KPA, highest - ambientKpaAbs)
      : highest;
  if (!(farthestKpa > 0)) return [];
  const step = toKpa(roundStep(fromKpa(farthestKpa, unit) / (points - 1)), unit);
  const count = Math.min(points, Math.floor(farthestKpa / step + 1e-9) + 1);
  const steps = Array.from({ length: count }, (_, i) => (down ? -i * step : i * step));
  return down ? steps.filter((kpa) => ambientKpaAbs + kpa <= highest) : steps;
}

/** Nobody pumps to 16.9 kPa: the largest round number that is at most a little more than the step asked for. */
function roundStep(step: number): number {
  const most = step * 1.25 + 1e-9;
  const size = 10 ** Math.floor(Math.log10(most));
  return ([5, 2.5, 2, 1].find((nice) => nice * size <= most) ?? 1) * size;
}

/** Two settings this near are the same needle on the same mark. */
export const SAME_SETTING_KPA = 0.01;

/** The steps asked for, and beside them every setting that is on record: a change of unit or count hides no reading. */
export function pumpSettings(
  { readings, isolation }: Pick<CaseFile, 'readings' | 'isolation'>,
  steps: readonly number[],
): number[] {
  const settings = [...steps];
  for (const { state } of [...readings, ...isolation.filter(isPulses)]) {
    if (state.stimulus?.kind !== 'pump') continue;
    const { kpaAboveAmbient } = state.stimulus;
    if (!settings.some((kpa) => Math.abs(kpa - kpaAboveAmbient) < SAME_SETTING_KPA)) {
      settings.push(kpaAboveAmbient);
    }
  }
  return settings.sort((a, b) => Math.abs(a) - Math.abs(b));
}

/** The machine with the pump at a setting, in kPa above ambient, below it with a minus. */
export const pumpState = (kpaAboveAmbient: number): MachineState => ({
  engine: 'koeo',
  plug: 'connected',
  // Steps are compared by value: rounded, so that the same step is the same number wherever it is worked out.
  stimulus: { kind: 'pump', kpaAboveAmbient: Math.round(kpaAboveAmbient * 1e6) / 1e6 },
});
