import { newSensor, sensorProfile, type Sensor } from '@lettura/contract';
import { parsePoints } from '@lettura/core/entry';
import { toKpa, type PressureUnit } from '@lettura/core/quantity';
import {
  BIASES,
  fitLine,
  MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
  transferFromPoints,
  type LineFit,
  type LinePoint,
} from '@lettura/core/transfer';
import { z } from 'zod';
import { stored } from '../../app/stored.ts';

const sensorText = z.object({
  name: z.string(),
  source: z.string(),
  points: z.string(),
  form: z.enum(['line', 'table']),
  ratiometric: z.boolean(),
  reference: z.string(),
  tolerance: z.string(),
  circuitLow: z.string(),
  circuitHigh: z.string(),
  bias: z.enum(BIASES),
});
/** The form of a new sensor, as typed. */
export type SensorText = z.infer<typeof sensorText>;

const EMPTY: SensorText = {
  name: '',
  source: '',
  points: '',
  form: 'line',
  ratiometric: true,
  reference: '5.00',
  tolerance: '2',
  circuitLow: '0.2',
  circuitHigh: '4.8',
  bias: 'unknown',
};
const storage = stored('lettura.new-sensor', sensorText, EMPTY);
export const sensorDraft = { load: storage.load, save: storage.save, clear: () => storage.save(EMPTY) };

export interface SensorReading {
  problems: Partial<Record<keyof SensorText, string>>;
  points: LinePoint[];
  fit: LineFit | undefined;
  /** The curve and limits, as soon as they can be drawn: a name may come later. */
  profile: Sensor['profile'] | undefined;
  sensor: Omit<Sensor, 'id'> | undefined;
}

/** Reads the form: what is wrong at which field, the points and their fit, and the sensor if there is one. */
export function readSensorText(text: SensorText, unit: PressureUnit): SensorReading {
  const problems: SensorReading['problems'] = {};
  const read = parsePoints(text.points, unit);
  const points = read.ok ? read.value : [];
  const fit = fitLine(points);
  const referenceVolts = numberIn(text.reference);
  const transfer = transferFromPoints(points, {
    form: text.form,
    ratiometric: text.ratiometric,
    referenceVolts,
  });
  if (!read.ok) problems.points = `${read.problem.message} ${read.problem.next}`;
  else if (!transfer.ok) problems.points = `${transfer.problem.message} ${transfer.problem.next}`;
  const candidate = transfer.ok && {
    id: '01935a00-0000-7000-8000-000000000000',
    name: text.name,
    source: text.source,
    profile: {
      transfer: transfer.value,
      nominalReferenceVolts: referenceVolts,
      lowestKpaAbs: Math.min(...points.map(({ kpaAbs }) => kpaAbs)),
      highestKpaAbs: Math.max(...points.map(({ kpaAbs }) => kpaAbs)),
      circuitLowVolts: numberIn(text.circuitLow),
      circuitHighVolts: numberIn(text.circuitHigh),
      toleranceKpa: toKpa(numberIn(text.tolerance), unit),
      differenceThatMattersKpa: MANIFOLD_DIFFERENCE_THAT_MATTERS_KPA,
      bias: text.bias,
    },
  };
  const checked = newSensor.safeParse(candidate);
  if (checked.success) {
    const { id: _id, ...sensor } = checked.data;
    return { problems, points, fit: fit.ok ? fit.value : undefined, profile: sensor.profile, sensor };
  }
  for (const issue of checked.error.issues) {
    const field = FIELD_OF[issue.path.join('.')];
    if (field) problems[field] ??= ADVICE[field] ?? issue.message;
  }
  if (candidate === false) {
    if (text.name.trim() === '') problems.name = ADVICE.name ?? '';
    if (text.source.trim() === '') problems.source = ADVICE.source ?? '';
  }
  const drawable = sensorProfile.safeParse(candidate && candidate.profile);
  return {
    problems,
    points,
    fit: fit.ok ? fit.value : undefined,
    profile: drawable.success ? drawable.data : undefined,
    sensor: undefined,
  };
}

const numberIn = (text: string): number => {
  const plain = text.trim().replace(',', '.');
  return /^\d{1,4}(\.\d{0,6})?$/u.test(plain) ? Number(plain) : NaN;
};

const FIELD_OF: Partial<Record<string, keyof SensorText>> = {
  name: 'name',
  source: 'source',
  'profile.nominalReferenceVolts': 'reference',
  'profile.toleranceKpa': 'tolerance',
  'profile.circuitLowVolts': 'circuitLow',
  'profile.circuitHighVolts': 'circuitHigh',
  'profile.transfer.sharePerKpa': 'points',
  'profile.transfer.shareAtZero': 'points',
  'profile.highestKpaAbs': 'points',
};
const ADVICE: Partial<Record<keyof SensorText, string>> = {
  name: 'Give the sensor a name.',
  source: 'Say where the points come from: the next technician will ask.',
  reference: 'Enter the reference in volts, 3 to 16.',
  tolerance: 'Enter the maker’s limits, for example 2.',
  circuitLow: 'Enter volts, for example 0.2.',
  circuitHigh: 'Enter volts above the circuit-low limit, for example 4.8.',
};
