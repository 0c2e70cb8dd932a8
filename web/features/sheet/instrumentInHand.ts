import { say, verbatim } from '@lettura/core/measure/message';
import { calibrationOverdue, type Instrument, type InstrumentSort } from '@lettura/contract';
import type { Entry } from '@lettura/core/record/entry';
import type { ReadingWarning } from '@lettura/core/measure/quantity';
import { t } from '../../ui/words.ts';

type Measured = Exclude<Entry, { kind: 'ambient' }>;
type Taken = Measured['kind'];

/** One meter reads volts at a point, between points, ohms, and counts; one tool shows all live data. */
export const chosenAs = (kind: Taken): Chosen =>
  kind === 'live-volts' ? 'scan' : kind === 'gauge' || kind === 'scan' ? kind : 'wire';
type Chosen = 'wire' | 'gauge' | 'scan';

const SORTS: Record<Chosen, readonly InstrumentSort[]> = {
  wire: ['meter'],
  gauge: ['gauge', 'hand-pump'],
  scan: ['live-data'],
};

export const instrumentsFor = (kind: Taken, instruments: readonly Instrument[]): Instrument[] =>
  instruments.filter(({ sort, retired }) => !retired && SORTS[chosenAs(kind)].includes(sort));

/** The instrument chosen for this sort of reading; undefined while nobody has chosen, and the common one is assumed. */
export const instrumentInHand = (
  kind: Taken,
  instruments: readonly Instrument[],
  chosen: { [Kind in Chosen]?: string | undefined },
): Instrument | undefined =>
  instrumentsFor(kind, instruments).find(({ id }) => id === chosen[chosenAs(kind)]);

/** A reading past what the instrument can show is a slip, or the wrong instrument: told, never refused. */
export function rangeWarning(entry: Measured, { name, lowest, highest }: Instrument): ReadingWarning[] {
  const value = shownBy(entry);
  if (value === undefined) return [];
  if (value >= lowest && value <= highest) return [];
  return [
    {
      code: 'past-instrument-range',
      message: say('app.past-can-show-check-instrument', { name: verbatim(name) }),
    },
  ];
}

/** As the instrument's own range counts it: on a gauge vacuum lies below zero. */
function shownBy(entry: Measured): number | undefined {
  switch (entry.kind) {
    case 'wire':
    case 'between':
      return entry.volts;
    case 'ohms':
    case 'frequency':
    case 'duty':
    case 'live-volts':
      return undefined; // the range of a meter is that of its volts, and of live data that of the value
    case 'gauge':
      return entry.basis === 'vacuum' ? -entry.pressureKpa : entry.pressureKpa;
    case 'scan':
      return entry.value;
  }
}

/** Said where the instrument is chosen and where its reading stands; the doubt is left as the paper has it. */
export const overdueWords = (instrument: Instrument, today: string): string | undefined =>
  calibrationOverdue(instrument, today)
    ? t('ui-sheet.calibration-due-accuracy-not-assured', {
        name: instrument.name,
        calibrationDue: instrument.calibrationDue ?? '',
      })
    : undefined;
