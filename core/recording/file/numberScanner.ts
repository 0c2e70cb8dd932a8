import type { Recording } from '../sweep/index.ts';
import type { Layout, TimeForm } from './layout.ts';
import { dateSeconds, hasZone, secondsIn, textOf } from './moments.ts';

/** A cell that is no number, where one belongs. */
export interface BadCell {
  /** As an editor counts, from 1. */
  row: number;
  column: number;
  text: string;
}

export interface ScanResult {
  recording: Recording;
  rows: number;
  missingCells: number;
  /** Cells beyond the columns of the file, left out. */
  extraCells: number;
  /** The first few; `badCells` counts all. */
  badExamples: BadCell[];
  badCells: number;
  /** Rows whose moment lies before the one above, left out. */
  backwardRows: number;
  /** Of the first row, in milliseconds since 1970 by the clock of the file; undefined where it gives no date. */
  startedAtMs: number | undefined;
  /** Whether that clock says its time zone. */
  zoned: boolean;
}

const FIRST_CAPACITY = 1 << 14;
const GROWTH = 1.5;
/** Rows may get a little shorter than the first ones. */
const ROOM = 1.03;
const ROWS_TO_JUDGE_BY = 10_000;
const MOST_EXAMPLES = 5;
const MOST_EXAMPLE_LETTERS = 40;
const HASH = 35;
const [LF, CR, QUOTE, MINUS, PLUS, ZERO, NINE, SPACE, COLON] = [10, 13, 34, 45, 43, 48, 57, 32, 58];
const [UPPER_E, LOWER_E, POINT, COMMA] = [69, 101, 46, 44];
const SECONDS_PER: Record<Exclude<TimeForm, 'clock' | 'date' | 'none'>, number> = {
  s: 1,
  ms: 1e-3,
  µs: 1e-6,
};
const DAY_SECONDS = 86_400;

/** Powers of ten that a double holds exactly: up to here a quotient of integers is rounded once, and so exact. */
const TENS = Array.from({ length: 23 }, (_, i) => 10 ** i);
const MOST_EXACT = 2 ** 53;
/** Any integer of so many digits fits into 32 bits with its sign: those are added up several times as fast as doubles. */
const WHOLE_NUMBER_DIGITS = 9;

/**
 * Reads the body of a text file of numbers, byte by byte, in as many pieces as it comes: a library settles dialect and
 * header before, since it takes ten times as long over the body. Numbers come out as the language itself would read them.
 */
export class NumberScanner {
  readonly #layout: Layout;
  readonly #rate: number;
  readonly #delimiter: number;
  readonly #decimal: number;
  /** By column: what a number is multiplied with; 0 where the cells are no plain numbers. */
  readonly #scales: readonly number[];
  #columns: Float64Array[];
  readonly #fileBytes: number;
  #bytes = 0;
  #capacity = FIRST_CAPACITY;
  #rows = 0;
  #line = 1;
  #work: Uint8Array = new Uint8Array(0);
  /** Bytes at the beginning of `#work` that belong to a line whose end has not come yet. */
  #left = 0;
  #missing = 0;
  #extra = 0;
  #bad = 0;
  #badExamples: BadCell[] = [];
  #backward = 0;
  #dayOffset = 0;
  #firstSecond: number | undefined;
  #zoned = false;
  #lastMoment = -Infinity;

  /**
   * @param samplesPerSecond counts the moments where the file has none
   * @param fileBytes how long the file is, where that is known: room for its rows is then made once
   */
  constructor(layout: Layout, samplesPerSecond: number, fileBytes = 0) {
    this.#fileBytes = fileBytes;
    this.#layout = layout;
    this.#rate = samplesPerSecond;
    this.#delimiter = layout.delimiter.charCodeAt(0);
    this.#decimal = layout.decimal === ',' ? COMMA : POINT;
    this.#columns = layout.columns.map(() => new Float64Array(FIRST_CAPACITY));
    const { timeColumn, timeForm } = layout;
    this.#scales = layout.columns.map((_, column) =>
      column !== timeColumn || timeForm === 'none'
        ? 1
        : timeForm === 'clock' || timeForm === 'date'
          ? 0
          : SECONDS_PER[timeForm],
    );
  }

  get rows(): number {
    return this.#rows;
  }

  /** The next bytes of the file, cut anywhere. */
  feed(bytes: Uint8Array): void {
    this.#bytes += bytes.length;
    // One memory for all pieces, behind what the last one left over.
    const length = this.#left + bytes.length;
    if (this.#work.length < length + 1) {
      const larger = new Uint8Array(length + 1);
      larger.set(this.#work.subarray(0, this.#left));
      this.#work = larger;
    }
    this.#work.set(bytes, this.#left);
    const end = bytes.lastIndexOf(LF) + this.#left + 1;
    if (end === this.#left) {
      this.#left = length;
      return;
    }
    this.#scan(this.#work, end);
    this.#work.copyWithin(0, end, length);
    this.#left = length - end;
  }

  finish(): ScanResult {
    if (this.#left > 0) {
      // There is room for one byte more.
      this.#work[this.#left] = LF;
      this.#scan(this.#work, this.#left + 1);
      this.#left = 0;
    }
    const { columns, timeColumn } = this.#layout;
    // Views, not copies: a recording of millions is there once.
    const all = this.#columns.map((column) => column.subarray(0, this.#rows));
    const moments = timeColumn === undefined ? undefined : all[timeColumn];
    const start = moments?.[0] ?? 0;
    if (moments && start !== 0) for (let i = 0; i < moments.length; i++) moments[i] = moments[i]! - start;
    return {
      recording: {
        seconds: moments ?? Float64Array.from({ length: this.#rows }, (_, i) => i / this.#rate),
        channels: columns.flatMap(({ name, unit }, i) =>
          i === timeColumn ? [] : [{ name, unit, values: all[i]! }],
        ),
      },
      rows: this.#rows,
      missingCells: this.#missing,
      extraCells: this.#extra,
      badExamples: this.#badExamples,
      badCells: this.#bad,
      backwardRows: this.#backward,
      startedAtMs: this.#firstSecond === undefined ? undefined : 1000 * (this.#firstSecond + start),
      zoned: this.#zoned,
    };
  }

  /** Whole lines only: `end` is one past a line feed. */
  #scan(bytes: Uint8Array, end: number): void {
    const { headerRows, timeColumn } = this.#layout;
    let at = 0;
    while (at < end) {
      if (this.#line <= headerRows) {
        at = bytes.indexOf(LF, at) + 1;
        this.#line++;
        continue;
      }
      // A remark between the samples, as some loggers write them.
      if (bytes[at] === HASH) {
        at = bytes.indexOf(LF, at) + 1;
        this.#line++;
        continue;
      }
      if (bytes[at] === LF || (bytes[at] === CR && bytes[at + 1] === LF)) {
        at += bytes[at] === LF ? 1 : 2;
        this.#line++;
        continue;
      }
      if (this.#rows === this.#capacity) this.#grow();
      at = this.#row(bytes, at, end);
      if (timeColumn === undefined || this.#keepsTime(timeColumn)) this.#rows++;
      this.#line++;
    }
  }

  /** Reads one line and gives where the next one begins. */
  #row(bytes: Uint8Array, from: number, end: number): number {
    const columns = this.#columns;
    const scales = this.#scales;
    const delimiter = this.#delimiter;
    const decimal = this.#decimal;
    const row = this.#rows;
    const width = columns.length;
    let at = from;
    for (let column = 0; ; column++) {
      const scale = column < width ? scales[column]! : 0;
      if (scale !== 0) {
        // Nearly every cell is a few digits with at most one point: read in one pass of whole numbers, and only the
        // others looked at twice.
        let next = at;
        let byte = bytes[next]!;
        const negative = byte === MINUS;
        if (negative) byte = bytes[++next]!;
        const first = next;
        let mantissa = 0;
        for (let digit = byte - ZERO; digit >>> 0 <= 9; digit = byte - ZERO) {
          mantissa = (Math.imul(mantissa, 10) + digit) | 0;
          byte = bytes[++next]!;
        }
        let digits = next - first;
        let decimals = 0;
        if (byte === decimal) {
          const point = next;
          byte = bytes[++next]!;
          for (let digit = byte - ZERO; digit >>> 0 <= 9; digit = byte - ZERO) {
            mantissa = (Math.imul(mantissa, 10) + digit) | 0;
            byte = bytes[++next]!;
          }
          decimals = next - point - 1;
          digits += decimals;
        }
        if (byte === CR && bytes[next + 1] === LF) byte = bytes[++next]!;
        if (digits > 0 && digits <= WHOLE_NUMBER_DIGITS && (byte === delimiter || byte === LF)) {
          const size = decimals === 0 ? mantissa : mantissa / TENS[decimals]!;
          columns[column]![row] = scale * (negative ? -size : size);
          at = next + 1;
          if (byte === LF) return this.#filled(column + 1, at);
          continue;
        }
      }
      const stop = this.#endOfCell(bytes, at, end);
      if (column < width) columns[column]![row] = this.#cell(bytes, at, stop, column);
      else if (stop > at && bytes[at] !== CR) this.#extra++;
      at = stop + 1;
      if (bytes[stop] === LF) return this.#filled(column + 1, at);
    }
  }

  /** A row that ends early lacks its last cells. */
  #filled(read: number, at: number): number {
    for (let column = read; column < this.#columns.length; column++) {
      this.#columns[column]![this.#rows] = NaN;
      this.#missing++;
    }
    return at;
  }

  /** The delimiter or line end behind a cell, quoted ones included. */
  #endOfCell(bytes: Uint8Array, from: number, end: number): number {
    let stop = from;
    if (bytes[from] === QUOTE) {
      stop = bytes.indexOf(QUOTE, from + 1);
      if (stop < 0 || stop >= end) stop = end - 1;
    }
    while (bytes[stop] !== this.#delimiter && bytes[stop] !== LF) stop++;
    return stop;
  }

  /** A moment that is missing or lies before the one above has no place in a recording. */
  #keepsTime(timeColumn: number): boolean {
    const moment = this.#columns[timeColumn]![this.#rows]!;
    if (moment >= this.#lastMoment) {
      this.#lastMoment = moment;
      return true;
    }
    this.#backward++;
    return false;
  }

  #cell(bytes: Uint8Array, from: number, to: number, column: number): number {
    let [start, stop] = [from, to];
    while (start < stop && isFiller(bytes[start]!)) start++;
    while (stop > start && isFiller(bytes[stop - 1]!)) stop--;
    if (start === stop) {
      this.#missing++;
      return NaN;
    }
    const isTime = column === this.#layout.timeColumn;
    const { timeForm } = this.#layout;
    const value =
      isTime && timeForm === 'clock'
        ? this.#clock(bytes, start, stop)
        : isTime && timeForm === 'date'
          ? this.#date(bytes, start, stop)
          : this.#number(bytes, start, stop);
    if (Number.isNaN(value)) this.#refuse(bytes, start, stop, column);
    return isTime && timeForm !== 'clock' && timeForm !== 'date' && timeForm !== 'none'
      ? value * SECONDS_PER[timeForm]
      : value;
  }

  #number(bytes: Uint8Array, start: number, stop: number): number {
    let at = start;
    const negative = bytes[at] === MINUS;
    if (negative || bytes[at] === PLUS) at++;
    let mantissa = 0;
    let digits = 0;
    let scale = 0;
    for (; at < stop; at++) {
      const byte = bytes[at]!;
      if (byte >= ZERO && byte <= NINE) {
        mantissa = mantissa * 10 + (byte - ZERO);
        digits++;
      } else break;
    }
    if (bytes[at] === this.#decimal && at < stop) {
      for (at++; at < stop; at++) {
        const byte = bytes[at]!;
        if (byte < ZERO || byte > NINE) break;
        mantissa = mantissa * 10 + (byte - ZERO);
        digits++;
        scale++;
      }
    }
    if (digits === 0) return NaN;
    if (at < stop && bytes[at] !== UPPER_E && bytes[at] !== LOWER_E) return NaN;
    // Past what a double holds, or with an exponent: the language reads it, once in a while.
    if (at < stop || mantissa > MOST_EXACT || scale >= TENS.length) return this.#slowly(bytes, start, stop);
    const value = scale === 0 ? mantissa : mantissa / TENS[scale]!;
    return negative ? -value : value;
  }

  #slowly(bytes: Uint8Array, start: number, stop: number): number {
    const text = textOf(bytes, start, stop);
    return Number(this.#decimal === COMMA ? text.replace(',', '.') : text);
  }

  /** Past midnight the clock begins again, and the recording goes on. */
  #clock(bytes: Uint8Array, start: number, stop: number): number {
    const parts = [0, 0, 0];
    let part = 0;
    let begin = start;
    for (let at = start; at <= stop && part < 3; at++) {
      if (at !== stop && bytes[at] !== COLON) continue;
      parts[part++] = part < 3 ? this.#number(bytes, begin, at) : secondsIn(bytes, begin, at);
      begin = at + 1;
    }
    if (part < 3) return NaN;
    const [hours, minutes, seconds] = parts as [number, number, number];
    const moment = hours * 3600 + minutes * 60 + seconds + this.#dayOffset;
    if (moment < this.#lastMoment - DAY_SECONDS / 2) {
      this.#dayOffset += DAY_SECONDS;
      return moment + DAY_SECONDS;
    }
    return moment;
  }

  /** Counted from the first whole second, since a double has no room for microseconds beside the years. */
  #date(bytes: Uint8Array, start: number, stop: number): number {
    const { wholeSeconds, fraction } = dateSeconds(textOf(bytes, start, stop));
    if (Number.isNaN(wholeSeconds)) return NaN;
    if (this.#firstSecond === undefined) {
      this.#firstSecond = wholeSeconds;
      this.#zoned = hasZone(textOf(bytes, start, stop));
    }
    return wholeSeconds - this.#firstSecond + fraction;
  }

  #refuse(bytes: Uint8Array, start: number, stop: number, column: number): void {
    this.#bad++;
    if (this.#badExamples.length < MOST_EXAMPLES)
      this.#badExamples.push({
        row: this.#line,
        column: column + 1,
        text: textOf(bytes, start, Math.min(stop, start + MOST_EXAMPLE_LETTERS)),
      });
  }

  #grow(): void {
    const bytesPerRow = this.#bytes / Math.max(1, this.#rows);
    const wholeFile = Math.ceil((ROOM * this.#fileBytes) / bytesPerRow);
    this.#capacity = Math.max(
      Math.ceil(this.#capacity * GROWTH),
      this.#rows > ROWS_TO_JUDGE_BY ? wholeFile : 0,
    );
    this.#columns = this.#columns.map((column) => {
      const grown = new Float64Array(this.#capacity);
      grown.set(column);
      return grown;
    });
  }
}

const isFiller = (byte: number): boolean => byte === SPACE || byte === CR || byte === QUOTE || byte === 9;
