import {
  MOST_TABLE_POINTS,
  newSensor,
  PIN_WIRES,
  sensorProfile,
  type NewSensor,
  type Sensor,
} from '@lettura/contract';
import { parsePoints, type SecondColumn } from '@lettura/core/record/entry';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import {
  fromShown,
  MEASURAND_NAMES,
  PRESSURE_UNITS,
  type PressureUnit,
} from '@lettura/core/measure/quantity';
import {
  isSent,
  BIASES,
  SHAPES,
  transferFromPoints,
  type CurveFit,
  type CurvePoint,
  type SensorProfile,
} from '@lettura/core/measure/transfer';
import { z } from 'zod';
import { ownDraft } from '../../app/stored.ts';
import { companionFrom, companionText, EMPTY_COMPANION } from './companionText.ts';
import { toleranceFrom, toleranceText, EMPTY_TOLERANCE } from './toleranceText.ts';
import { numberIn } from '../../ui/numberIn.ts';
import { refused, said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

const sensorText = z.object({
  /** What pressures are typed in: that of the day the form was begun, whatever is chosen for the screen since. */
  unit: z.enum(PRESSURE_UNITS as [PressureUnit, ...PressureUnit[]]),
  name: z.string(),
  family: z.enum(FAMILY_IDS),
  measures: z.enum(MEASURAND_NAMES),
  source: z.string(),
  notes: z.string(),
  points: z.string(),
  form: z.enum(SHAPES),
  degree: z.enum(['2', '3', '4', '5']),
  ratiometric: z.boolean(),
  reference: z.string(),
  tolerance: toleranceText,
  /** The difference that matters; empty takes twice the tolerance. */
  matters: z.string(),
  circuitLow: z.string(),
  circuitHigh: z.string(),
  /** Where the electronics saturate, and the supply that the part is made for; empty where nobody knows. */
  outputLow: z.string().default(''),
  outputHigh: z.string().default(''),
  supplyLow: z.string().default(''),
  supplyHigh: z.string().default(''),
  bias: z.enum(BIASES),
  companion: companionText,
  pins: z.array(z.object({ terminal: z.string(), wire: z.enum(PIN_WIRES), colour: z.string() })),
});
/** The form of a sensor, as typed. */
export type SensorText = z.infer<typeof sensorText>;

export const emptySensor = (unit: PressureUnit): SensorText => ({
  unit,
  name: '',
  family: 'manifold-pressure',
  measures: 'absolute-pressure',
  source: '',
  notes: '',
  points: '',
  form: 'line',
  degree: '3',
  ratiometric: true,
  reference: '5.00',
  tolerance: EMPTY_TOLERANCE,
  matters: '',
  circuitLow: '0.2',
  circuitHigh: '4.8',
  outputLow: '',
  outputHigh: '',
  supplyLow: '',
  supplyHigh: '',
  bias: 'unknown',
  companion: EMPTY_COMPANION,
  pins: [],
});

/** One draft for a new sensor, and one for each that is being changed: half a form survives the page. */
export const sensorDraft = (of: string) => {
  const { load, save, clear } = ownDraft(`lettura.sensor-draft.${of}`, sensorText.nullable(), null);
  return { load, save, clear };
};

export type SensorField = keyof SensorText;

export interface SensorReading {
  problems: Partial<Record<SensorField, string>>;
  points: CurvePoint[];
  fit: CurveFit | undefined;
  /** The curve and limits, as soon as they can be drawn: a name may come later. */
  profile: SensorProfile | undefined;
  sensor: Omit<NewSensor, 'id' | 'replaces'> | undefined;
}

/** The sensor that is being changed, and its form untouched in the unit of the text: what nobody changed keeps its exact curve and range. */
export interface Original {
  sensor: Sensor;
  text: SensorText;
}

const NO_ID = '01935a00-0000-7000-8000-000000000000';

/** What stands beside the value of a point, where it is no voltage. */
export const SECOND_COLUMN: Partial<Record<SensorText['form'], SecondColumn>> = {
  telegrams: 'steps',
  frequency: 'hertz',
  duty: 'percent',
};

/** Reads the form: what is wrong at which field, the points and their fit, and the sensor if there is one. */
export function readSensorText(text: SensorText, original?: Original): SensorReading {
  const { unit } = text;
  const problems: SensorReading['problems'] = {};
  const read = parsePoints(text.points, text.measures, unit, SECOND_COLUMN[text.form] ?? 'volts');
  const points = read.ok ? read.value : [];
  const referenceVolts = numberIn(text.reference);
  const fit = transferFromPoints(points, {
    form: text.form,
    degree: Number(text.degree),
    ratiometric: text.ratiometric,
    referenceVolts,
  });
  if (!read.ok) problems.points = said(problemSaid(read.problem));
  else if (!fit.ok) problems.points = said(problemSaid(fit.problem));
  const profile = fit.ok && read.ok ? profileFrom(text, fit.value, points, original) : undefined;
  const candidate = profile && {
    id: NO_ID,
    name: text.name,
    family: text.family,
    source: text.source,
    notes: text.notes,
    profile,
    pins: text.pins,
    ...companionFrom(text.companion),
  };
  const reading = { problems, points, fit: fit.ok ? fit.value : undefined };
  const checked = newSensor.safeParse(candidate);
  if (checked.success) {
    const { id: _id, replaces: _replaces, ...sensor } = checked.data;
    return { ...reading, profile: sensor.profile, sensor };
  }
  for (const issue of checked.error.issues) {
    const field = fieldOf(issue.path);
    if (field) problems[field] ??= ADVICE[field] ?? refused(issue.message);
  }
  if (!candidate) {
    if (text.name.trim() === '') problems.name = ADVICE.name ?? '';
    if (text.source.trim() === '') problems.source = ADVICE.source ?? '';
  }
  const drawable = sensorProfile.safeParse(profile);
  return { ...reading, profile: drawable.success ? drawable.data : undefined, sensor: undefined };
}

function profileFrom(
  text: SensorText,
  fit: CurveFit,
  points: readonly CurvePoint[],
  original: Original | undefined,
): SensorProfile {
  const untouched =
    original !== undefined &&
    CURVE_FIELDS.every((field) => text[field] === original.text[field]) &&
    original.sensor.profile;
  const values = points.map(({ value }) => value);
  const range = untouched
    ? {
        transfer: untouched.transfer,
        lowest: untouched.lowest,
        highest: untouched.highest,
        ...(untouched.fitUncertaintyVolts === undefined
          ? {}
          : { fitUncertaintyVolts: untouched.fitUncertaintyVolts }),
        ...(untouched.fittedTo ? { fittedTo: untouched.fittedTo } : {}),
      }
    : {
        transfer: fit.transfer,
        ...(fit.transfer.form === 'table' || isSent(fit)
          ? {}
          : {
              fittedTo: points,
              fitUncertaintyVolts: worstDoubt(fit, values),
            }),
        lowest: values.reduce((a, b) => Math.min(a, b)),
        highest: values.reduce((a, b) => Math.max(a, b)),
      };
  const { measures, unit } = text;
  const tolerance = toleranceFrom(text.tolerance, measures, unit);
  const span = range.highest - range.lowest;
  return {
    measures,
    ...range,
    nominalReferenceVolts: numberIn(text.reference),
    circuitLowVolts: numberIn(text.circuitLow),
    circuitHighVolts: numberIn(text.circuitHigh),
    tolerance,
    differenceThatMatters:
      text.matters.trim() === ''
        ? // Twice the tolerance is about what a workshop calls a fault (common practice).
          Math.max(0.02 * span, 2 * widthOf(tolerance, span))
        : fromShown(numberIn(text.matters), measures, unit),
    bias: text.bias,
    ...bandFrom('outputVolts', text.outputLow, text.outputHigh),
    ...bandFrom('supplyVolts', text.supplyLow, text.supplyHigh),
  };
}

/** Empty where both are: one alone is no band, and the check says so at the field. */
const bandFrom = <Name extends 'outputVolts' | 'supplyVolts'>(name: Name, low: string, high: string) =>
  low.trim() === '' && high.trim() === ''
    ? {}
    : ({ [name]: { lowest: numberIn(low), highest: numberIn(high) } } as Pick<SensorProfile, Name>);

/** Points that are met exactly say nothing of the doubt between them: then there is none to add. */
const worstDoubt = (fit: CurveFit, values: readonly number[]): number =>
  values.reduce((worst, value) => {
    const doubt = fit.standardUncertaintyVoltsAt(value);
    return Number.isFinite(doubt) ? Math.max(worst, doubt) : worst;
  }, 0);

const CURVE_FIELDS = ['points', 'form', 'degree', 'ratiometric', 'reference', 'measures'] as const;

function widthOf(tolerance: SensorProfile['tolerance'], span: number): number {
  switch (tolerance.form) {
    case 'plus-minus':
    case 'temperature-band':
      return tolerance.plusMinus;
    case 'of-span':
      return (tolerance.percent / 100) * span;
    case 'of-value':
      return tolerance.atLeast;
  }
}

const FIELD_OF: Partial<Record<string, SensorField>> = {
  name: 'name',
  source: 'source',
  notes: 'notes',
  pins: 'pins',
  companion: 'companion',
  'profile.nominalReferenceVolts': 'reference',
  'profile.circuitLowVolts': 'circuitLow',
  'profile.circuitHighVolts': 'circuitHigh',
  'profile.outputVolts.lowest': 'outputLow',
  'profile.outputVolts': 'outputHigh',
  'profile.supplyVolts.lowest': 'supplyLow',
  'profile.supplyVolts': 'supplyHigh',
  'profile.fittedTo': 'points',
  'profile.differenceThatMatters': 'matters',
  'profile.tolerance': 'tolerance',
  'profile.transfer': 'points',
  'profile.lowest': 'points',
  'profile.highest': 'points',
};

/** The longest beginning of the path that a field answers for. */
function fieldOf(path: readonly PropertyKey[]): SensorField | undefined {
  for (let length = path.length; length > 0; length--) {
    const field = FIELD_OF[path.slice(0, length).join('.')];
    if (field) return field;
  }
  return undefined;
}

const ADVICE: Partial<Record<SensorField, string>> = {
  name: t('ui-sensors.give-sensor-name-plain-words'),
  source: t('ui-sensors.say-where-points-come-next'),
  reference: t('ui-sensors.enter-reference-volts-3-16'),
  tolerance: t('ui-sensors.enter-makers-limits-example-2'),
  matters: t('ui-sensors.enter-difference-would-change-decision'),
  outputLow: t('ui-sensors.enter-volts-example-0-25'),
  outputHigh: t('ui-sensors.enter-volts-above-lower-one'),
  supplyLow: t('ui-sensors.enter-volts-example-4-85'),
  supplyHigh: t('ui-sensors.enter-volts-above-lower-one-example'),
  circuitLow: t('ui-sensors.enter-volts-example-0-2'),
  circuitHigh: t('ui-sensors.enter-volts-above-circuit-low'),
};

export const MOST_POINTS_WORDS = t('ui-sensors.up-to', {
  mosttablepoints: MOST_TABLE_POINTS.toLocaleString('en'),
});
