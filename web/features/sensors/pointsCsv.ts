import type { FileFault } from '@lettura/contract';
import { MOST_TABLE_POINTS } from '@lettura/contract';
import { say, verbatim } from '@lettura/core/measure/message';
import { toShown, unitInWords, type PressureUnit } from '@lettura/core/measure/quantity';
import { curveOf, type SensorProfile } from '@lettura/core/measure/transfer';
import Papa from 'papaparse';
import { t } from '../../ui/words.ts';

export type CsvReading = { ok: true; text: string } | { ok: false; message: string; faults: FileFault[] };

const NUMBER = /^[+\-−]?(\d{1,6}([.,]\d{0,9})?|[.,]\d{1,9})$/u;
/** A list longer than this is not read to its end by anybody. */
const MOST_FAULTS = 20;
const MOST_CSV_BYTES = 2 * 1024 * 1024;

/**
 * A table of value and volts from a CSV file, as the points field wants it: one pair a line. The dialect is guessed, a
 * heading is passed over, and everything that is wrong is told with its row and column.
 */
export function pointsFromCsv(content: string): CsvReading {
  if (content.length > MOST_CSV_BYTES) {
    return refused(
      t('ui-sensors.file-mb-table-points-2', { length: Math.round(content.length / 1024 / 1024) }),
    );
  }
  const { data } = Papa.parse<string[]>(content, { skipEmptyLines: 'greedy', comments: '#' });
  const rows = data.map((row) => row.map((cell) => cell.trim()));
  const heading = rows[0]?.every((cell) => !NUMBER.test(cell)) ? 1 : 0;
  const faults: { where: string; what: string }[] = [];
  const lines: string[] = [];
  let decimal: { sign: string; where: string } | undefined;
  rows.slice(heading).forEach((row, i) => {
    const number = i + heading + 1;
    const cells = row.filter((cell, column) => cell !== '' || column < 2);
    if (cells.length !== 2) {
      faults.push({
        where: t('ui-sensors.row', { number }),
        what: t('ui-sensors.columns-takes-value-volts', { length: cells.length }),
      });
      return;
    }
    cells.forEach((cell, column) => {
      const where = t('ui-sensors.row-column', { number, column: column + 1 });
      if (!NUMBER.test(cell)) {
        faults.push({ where, what: t('ui-sensors.not-number', { cell: cell.slice(0, 30) }) });
        return;
      }
      const sign = /[.,]/u.exec(cell)?.[0];
      if (!sign) return;
      decimal ??= { sign, where };
      if (decimal.sign !== sign) {
        faults.push({
          where,
          what: t('ui-sensors.has-unlike', {
            cell,
            which: sign === ',' ? t('ui-sensors.decimal-comma') : t('ui-sensors.decimal-point'),
            where: decimal.where,
          }),
        });
      }
    });
    lines.push(cells.join('\t'));
  });
  if (faults.length > 0) {
    const more =
      faults.length > MOST_FAULTS
        ? t('ui-sensors.the-first-of', { mostfaults: MOST_FAULTS, length: faults.length })
        : '';
    return refused(t('ui-sensors.nothing-taken-file', { more }), faults.slice(0, MOST_FAULTS));
  }
  if (lines.length === 0) return refused(t('ui-sensors.there-no-row-numbers-file'));
  if (lines.length > MOST_TABLE_POINTS) {
    return refused(
      t('ui-sensors.file-points-most', { length: lines.length, mosttablepoints: MOST_TABLE_POINTS }),
    );
  }
  return { ok: true, text: lines.join('\n') };
}

const refused = (message: string, faults: readonly { where: string; what: string }[] = []): CsvReading => ({
  ok: false,
  message,
  faults: faults.map(({ where, what }) => ({ where: asSaid(where), what: asSaid(what) })),
});

const asSaid = (text: string) => say('refusal.verbatim', { text: verbatim(text) });

const EVEN_POINTS = 21;

/** The curve as a table: the points it was made from, or even steps over its range. */
export function pointsToCsv(profile: SensorProfile, pressureUnit: PressureUnit): string {
  const { transfer, measures, lowest, highest, nominalReferenceVolts } = profile;
  const curve = curveOf(profile, nominalReferenceVolts);
  const points =
    transfer.form === 'table'
      ? transfer.points
      : Array.from({ length: EVEN_POINTS }, (_, i) => {
          const value = lowest + ((highest - lowest) * i) / (EVEN_POINTS - 1);
          return { value, volts: curve.voltsAt(value) };
        });
  return Papa.unparse({
    fields: [unitInWords(measures, pressureUnit), 'V'],
    data: points.map(({ value, volts }) => [round(toShown(value, measures, pressureUnit)), round(volts)]),
  });
}

const round = (value: number): number => Number(value.toPrecision(9));
