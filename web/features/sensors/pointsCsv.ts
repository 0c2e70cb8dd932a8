import type { FileFault } from '@lettura/contract';
import { MOST_TABLE_POINTS } from '@lettura/contract';
import { toShown, unitInWords, type PressureUnit } from '@lettura/core/measure/quantity';
import { curveOf, type SensorProfile } from '@lettura/core/measure/transfer';
import Papa from 'papaparse';

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
      `The file has ${Math.round(content.length / 1024 / 1024)} MB; a table of points has 2 MB at most.`,
    );
  }
  const { data } = Papa.parse<string[]>(content, { skipEmptyLines: 'greedy', comments: '#' });
  const rows = data.map((row) => row.map((cell) => cell.trim()));
  const heading = rows[0]?.every((cell) => !NUMBER.test(cell)) ? 1 : 0;
  const faults: FileFault[] = [];
  const lines: string[] = [];
  let decimal: { sign: string; where: string } | undefined;
  rows.slice(heading).forEach((row, i) => {
    const number = i + heading + 1;
    const cells = row.filter((cell, column) => cell !== '' || column < 2);
    if (cells.length !== 2) {
      faults.push({
        where: `row ${number}`,
        what: `has ${cells.length} columns: it takes the value and the volts.`,
      });
      return;
    }
    cells.forEach((cell, column) => {
      const where = `row ${number}, column ${column + 1}`;
      if (!NUMBER.test(cell)) {
        faults.push({ where, what: `“${cell.slice(0, 30)}” is not a number.` });
        return;
      }
      const sign = /[.,]/u.exec(cell)?.[0];
      if (!sign) return;
      decimal ??= { sign, where };
      if (decimal.sign !== sign) {
        faults.push({
          where,
          what: `“${cell}” has ${sign === ',' ? 'a decimal comma' : 'a decimal point'}, unlike ${decimal.where}.`,
        });
      }
    });
    lines.push(cells.join('\t'));
  });
  if (faults.length > 0) {
    const more = faults.length > MOST_FAULTS ? ` The first ${MOST_FAULTS} of ${faults.length}:` : '';
    return refused(`Nothing was taken from this file.${more}`, faults.slice(0, MOST_FAULTS));
  }
  if (lines.length === 0) return refused('There is no row of numbers in this file.');
  if (lines.length > MOST_TABLE_POINTS) {
    return refused(`The file has ${lines.length} points; ${MOST_TABLE_POINTS} are the most.`);
  }
  return { ok: true, text: lines.join('\n') };
}

const refused = (message: string, faults: FileFault[] = []): CsvReading => ({ ok: false, message, faults });

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
