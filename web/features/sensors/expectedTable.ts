import { fromKpa, toKpa, type PressureUnit } from '@lettura/core/quantity';
import { curveOf, type SensorProfile } from '@lettura/core/transfer';

export interface ExpectedRow {
  /** In the vacuum unit. */
  vacuum: number;
  kpaAbs: number;
  volts: number;
  lowestVolts: number;
  highestVolts: number;
}

/** About what a hand pump pulls from one step of its dial to the next. */
const STEP_KPA = toKpa(5, 'inHg');
const DEEPEST_KPA = toKpa(25, 'inHg');

/** What a pump table of this sensor should read at an ambient, step by step; steps outside its range are left out. */
export function expectedTable(
  profile: SensorProfile,
  ambientKpaAbs: number,
  unit: PressureUnit,
): ExpectedRow[] {
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const step = roundStep(fromKpa(STEP_KPA, unit));
  const rows: ExpectedRow[] = [];
  for (let vacuum = 0; toKpa(vacuum, unit) <= DEEPEST_KPA + 1e-9; vacuum += step) {
    const kpaAbs = ambientKpaAbs - toKpa(vacuum, unit);
    if (kpaAbs < profile.lowestKpaAbs || kpaAbs > profile.highestKpaAbs) continue;
    const ends = [curve.voltsAt(kpaAbs - profile.toleranceKpa), curve.voltsAt(kpaAbs + profile.toleranceKpa)];
    rows.push({
      vacuum,
      kpaAbs,
      volts: curve.voltsAt(kpaAbs),
      lowestVolts: Math.min(...ends),
      highestVolts: Math.max(...ends),
    });
  }
  return rows;
}

/** 5 inHg is 16.9 kPa: nobody pumps to that, so the step is the round number below it. */
function roundStep(step: number): number {
  const size = 10 ** Math.floor(Math.log10(step + 1e-9));
  return ([5, 2, 1].find((nice) => nice * size <= step + 1e-9) ?? 1) * size;
}
