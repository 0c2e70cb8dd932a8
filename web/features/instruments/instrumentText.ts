import {
  INSTRUMENT_SORTS,
  newInstrument,
  type Instrument,
  type InstrumentSort,
  type NewInstrument,
} from '@lettura/contract';
import { fromKpa, PRESSURE_UNITS, toKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import { DIAL_SHARES, type DialReadTo } from '@lettura/core/measure/uncertainty';
import { z } from 'zod';
import { numberIn } from '../../ui/numberIn.ts';
import { refused, t } from '../../ui/words.ts';

export const DIAL_READ_TO = Object.keys(DIAL_SHARES) as [DialReadTo, ...DialReadTo[]];

export const instrumentText = z.object({
  /** What pressures are typed in, from when the form was begun. */
  unit: z.enum(PRESSURE_UNITS as [PressureUnit, ...PressureUnit[]]),
  name: z.string(),
  sort: z.enum(INSTRUMENT_SORTS),
  percent: z.string(),
  counts: z.string(),
  displayCounts: z.string(),
  classPercent: z.string(),
  lowest: z.string(),
  highest: z.string(),
  division: z.string(),
  readTo: z.enum(DIAL_READ_TO).default('half'),
  step: z.string(),
  calibratedOn: z.string(),
  calibrationDue: z.string(),
  notes: z.string(),
});
/** The form of an instrument, as typed. */
export type InstrumentText = z.infer<typeof instrumentText>;

/** Sensible starting values for each sort (common practice). */
export function emptyInstrument(sort: InstrumentSort, unit: PressureUnit): InstrumentText {
  return {
    unit,
    name: '',
    sort,
    percent: '0.5',
    counts: '2',
    displayCounts: '6000',
    classPercent: '1.6',
    lowest: sort === 'meter' ? '-600' : '0',
    highest: sort === 'meter' ? '600' : sort === 'live-data' ? '255' : '',
    division: '',
    readTo: 'half',
    step: '1',
    calibratedOn: '',
    calibrationDue: '',
    notes: '',
  };
}

type Field = keyof InstrumentText;
export interface InstrumentReading {
  problems: Partial<Record<Field, string>>;
  instrument: Omit<NewInstrument, 'id' | 'replaces'> | undefined;
}

/** Reads the form: the instrument, or what is wrong at which field. */
export function readInstrumentText(text: InstrumentText): InstrumentReading {
  const { unit } = text;
  const pressure = text.sort === 'gauge' || text.sort === 'hand-pump';
  const inCore = (field: string): number => (pressure ? toKpa(numberIn(field), unit) : numberIn(field));
  const lowest = inCore(text.lowest);
  const highest = inCore(text.highest);
  const checked = newInstrument.safeParse({
    id: '01935a00-0000-7000-8000-000000000000',
    name: text.name,
    sort: text.sort,
    accuracy: accuracyFrom(text, highest - lowest),
    lowest,
    highest,
    ...(text.calibratedOn ? { calibratedOn: text.calibratedOn } : {}),
    ...(text.calibrationDue ? { calibrationDue: text.calibrationDue } : {}),
    notes: text.notes,
  });
  if (checked.success) {
    const { id: _id, replaces: _replaces, ...instrument } = checked.data;
    return { problems: {}, instrument };
  }
  const problems: InstrumentReading['problems'] = {};
  for (const { path, message } of checked.error.issues) {
    const field = FIELD_OF[path.join('.')] ?? FIELD_OF[String(path[0])];
    if (field) problems[field] ??= ADVICE[field] ?? refused(message);
  }
  return { problems, instrument: undefined };
}

function accuracyFrom(text: InstrumentText, spanKpa: number): unknown {
  switch (text.sort) {
    case 'meter':
      return {
        kind: 'meter',
        percentOfReading: numberIn(text.percent),
        counts: numberIn(text.counts),
        displayCounts: numberIn(text.displayCounts),
      };
    case 'gauge':
    case 'hand-pump':
      return {
        kind: 'gauge',
        classPercent: numberIn(text.classPercent),
        spanKpa,
        divisionKpa: toKpa(numberIn(text.division), text.unit),
        readTo: text.readTo,
      };
    case 'live-data':
      return { kind: 'live-data', step: numberIn(text.step) };
  }
}

const FIELD_OF: Partial<Record<string, Field>> = {
  name: 'name',
  'accuracy.percentOfReading': 'percent',
  'accuracy.counts': 'counts',
  'accuracy.displayCounts': 'displayCounts',
  'accuracy.classPercent': 'classPercent',
  'accuracy.spanKpa': 'highest',
  'accuracy.divisionKpa': 'division',
  'accuracy.step': 'step',
  lowest: 'lowest',
  highest: 'highest',
  calibratedOn: 'calibratedOn',
  calibrationDue: 'calibrationDue',
  notes: 'notes',
};
const ADVICE: Partial<Record<Field, string>> = {
  name: t('ui-instruments.give-instrument-name'),
  percent: t('ui-instruments.enter-reading-example-0-5'),
  counts: t('ui-instruments.enter-counts-last-digit-example'),
  displayCounts: t('ui-instruments.enter-display-counts-example-6000'),
  classPercent: t('ui-instruments.enter-class-example-1-6'),
  lowest: t('ui-instruments.enter-lower-end-scale'),
  highest: t('ui-instruments.enter-upper-end-scale-above'),
  division: t('ui-instruments.enter-one-division-scale'),
  step: t('ui-instruments.enter-step-value-moves-example'),
  calibratedOn: t('ui-instruments.enter-day-calendar'),
  calibrationDue: t('ui-instruments.enter-day-calendar-not-before'),
};

/** An instrument as its form would have been typed. */
export function textOfInstrument(instrument: Instrument, unit: PressureUnit): InstrumentText {
  const { name, sort, accuracy, lowest, highest, calibratedOn, calibrationDue, notes } = instrument;
  const shown = (kpa: number): string => String(Number(fromKpa(kpa, unit).toFixed(6)));
  const end = sort === 'meter' || sort === 'live-data' ? String : shown;
  return {
    ...emptyInstrument(sort, unit),
    name,
    lowest: end(lowest),
    highest: end(highest),
    calibratedOn: calibratedOn ?? '',
    calibrationDue: calibrationDue ?? '',
    notes,
    ...(accuracy.kind === 'meter'
      ? {
          percent: String(accuracy.percentOfReading),
          counts: String(accuracy.counts),
          displayCounts: String(accuracy.displayCounts),
        }
      : {}),
    ...(accuracy.kind === 'gauge'
      ? {
          classPercent: String(accuracy.classPercent),
          division: shown(accuracy.divisionKpa),
          readTo: accuracy.readTo ?? 'half',
        }
      : {}),
    ...(accuracy.kind === 'live-data' ? { step: String(accuracy.step) } : {}),
  };
}
