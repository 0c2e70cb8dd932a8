import type { Sensor } from '@lettura/contract';
import { toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import { curveOf, type CurvePoint, type SensorProfile } from '@lettura/core/measure/transfer';
import { companionAsText } from './companionAsText.ts';
import { emptySensor, type SensorText } from './sensorText.ts';
import { toleranceAsText } from './toleranceText.ts';

/** A sensor as its form was typed; a formula that nobody fitted becomes points on it, from which it is found again. */
export function textOfSensor(
  { name, family, source, notes, profile, companion, pins }: Sensor,
  unit: PressureUnit,
): SensorText {
  const { measures, transfer, differenceThatMatters } = profile;
  const shown = (value: number): string => plain(toShown(value, measures, unit));
  return {
    ...emptySensor(unit),
    name,
    family,
    measures,
    source,
    notes,
    ...shapeOf(transfer),
    points: pointsOn(profile)
      .map(({ value, volts }) => `${shown(value)} ${plain(volts)}`)
      .join('\n'),
    reference: profile.nominalReferenceVolts.toFixed(2),
    tolerance: toleranceAsText(profile.tolerance, measures, unit),
    matters: shown(differenceThatMatters),
    circuitLow: String(profile.circuitLowVolts),
    circuitHigh: String(profile.circuitHighVolts),
    outputLow: end(profile.outputVolts?.lowest),
    outputHigh: end(profile.outputVolts?.highest),
    supplyLow: end(profile.supplyVolts?.lowest),
    supplyHigh: end(profile.supplyVolts?.highest),
    bias: profile.bias,
    companion: companionAsText(companion),
    pins: pins.map((pin) => ({ ...pin })),
  };
}

const end = (volts: number | undefined): string => (volts === undefined ? '' : String(volts));

/** Nine digits say the same number again, and never a power of ten that the form would not read. */
const plain = (value: number): string => String(Number(value.toFixed(9)));

function shapeOf(transfer: SensorProfile['transfer']): Pick<SensorText, 'form' | 'degree' | 'ratiometric'> {
  switch (transfer.form) {
    case 'linear':
      return { form: 'line', degree: '3', ratiometric: false };
    case 'ratiometric':
      return { form: 'line', degree: '3', ratiometric: true };
    case 'table':
      return { form: 'table', degree: '3', ratiometric: transfer.ratiometric };
    case 'polynomial': {
      const degree = Math.min(5, Math.max(2, transfer.coefficients.length - 1));
      return {
        form: 'polynomial',
        degree: String(degree) as SensorText['degree'],
        ratiometric: transfer.ratiometric,
      };
    }
    case 'telegrams':
    case 'frequency':
    case 'duty':
    case 'hot-element':
      return { form: transfer.form, degree: '3', ratiometric: false };
  }
}

const POINTS_ON = { linear: 2, ratiometric: 2, polynomial: 9, 'hot-element': 9 } as const;

function pointsOn(profile: SensorProfile): readonly CurvePoint[] {
  const { transfer, lowest, highest, nominalReferenceVolts } = profile;
  if (transfer.form === 'table') return transfer.points;
  if (transfer.form === 'telegrams')
    return [transfer.low, transfer.high].map(({ step, value }) => ({ value, volts: step }));
  if (transfer.form === 'frequency')
    return transfer.points.map(({ hertz, value }) => ({ value, volts: hertz }));
  if (transfer.form === 'duty')
    return transfer.points.map(({ upPercent, value }) => ({ value, volts: upPercent }));
  if (profile.fittedTo) return profile.fittedTo;
  const curve = curveOf(profile, nominalReferenceVolts);
  const count = POINTS_ON[transfer.form];
  return Array.from({ length: count }, (_, i) => {
    const value = lowest + ((highest - lowest) * i) / (count - 1);
    return { value, volts: curve.voltsAt(value) };
  });
}
