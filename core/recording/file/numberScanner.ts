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
  /** Of the lines that were read. */
  #scannedBytes = 0;
  #capacity = FIRST_CAPACITY;
  #rows = 0;
  #line = 1;
  /** The beginning of a line whose end has not come yet, and how long it is. */
  #left = new Uint8Array(0);
  #leftBytes = 0;
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
    let begin = 0;
    if (this.#leftBytes > 0) {
      begin = bytes.indexOf(LF) + 1;
      this.#keep(bytes.subarray(0, begin === 0 ? bytes.length : begin));
      if (begin === 0) return;
      this.#scanLeft();
    }
    // Where they lie: a copy of a whole file takes its time.
    const end = bytes.lastIndexOf(LF) + 1;
    if (end > begin) this.#scan(bytes, begin, end);
    this.#keep(bytes.subarray(Math.max(begin, end)));
  }

  #keep(bytes: Uint8Array): void {
    const length = this.#leftBytes + bytes.length;
    if (this.#left.length < length) {
      const larger = new Uint8Array(2 * length);
      larger.set(this.#left.subarray(0, this.#leftBytes));
      this.#left = larger;
    }
    this.#left.set(bytes, this.#leftBytes);
    this.#leftBytes = length;
  }

  #scanLeft(): void {
    this.#scan(this.#left, 0, this.#leftBytes);
    this.#leftBytes = 0;
  }

  finish(): ScanResult {
    if (this.#leftBytes > 0) {
      this.#keep(Uint8Array.of(LF));
      this.#scanLeft();
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

  /**
   * Whole lines only: `end` is one past a line feed. What changes with every row stands in variables, and goes back into
   * the fields where another method looks.
   */
  #scan(bytes: Uint8Array, from: number, end: number): void {
    const { headerRows, timeColumn } = this.#layout;
    const delimiter = this.#delimiter;
    const decimal = this.#decimal;
    const scales = this.#scales;
    const width = scales.length;
    let columns = this.#columns;
    let rows = this.#rows;
    let line = this.#line;
    let lastMoment = this.#lastMoment;
    let at = from;
    for (; at < end; line++) {
      const begin = bytes[at]!;
      // A remark between the samples, as some loggers write them, or a line with nothing on it.
      if (line <= headerRows || begin === HASH || begin === LF || (begin === CR && bytes[at + 1] === LF)) {
        at = bytes.indexOf(LF, at) + 1;
        continue;
      }
      if (rows === this.#capacity) {
        this.#rows = rows;
        this.#grow(this.#scannedBytes + at - from);
        columns = this.#columns;
      }
      let column = 0;
      for (let ended = false; !ended; column++) {
        const scale = column < width ? scales[column]! : 0;
        let next = at;
        let byte = bytes[next]!;
        if (scale !== 0) {
          // Nearly every cell is a few digits with at most one point: read in one pass of whole numbers, and only the
          // others looked at twice.
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
            columns[column]![rows] = scale * (negative ? -size : size);
            at = next + 1;
            ended = byte === LF;
            continue;
          }
        }
        const stop = this.#endOfCell(bytes, at, end);
        this.#line = line;
        this.#lastMoment = lastMoment;
        if (column < width) columns[column]![rows] = this.#cell(bytes, at, stop, column);
        else if (stop > at && bytes[at] !== CR) this.#extra++;
        at = stop + 1;
        ended = bytes[stop] === LF;
      }
      // A row that ends early lacks its last cells.
      for (; column < width; column++) {
        columns[column]![rows] = NaN;
        this.#missing++;
      }
      if (timeColumn !== undefined) {
        const moment = columns[timeColumn]![rows]!;
        // One that is missing or lies before the one above has no place in a recording.
        if (!(moment >= lastMoment)) {
          this.#backward++;
          continue;
        }
        lastMoment = moment;
      }
      rows++;
    }
    this.#scannedBytes += end - from;
    this.#rows = rows;
    this.#line = line;
    this.#lastMoment = lastMoment;
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

  #grow(scannedBytes: number): void {
    const bytesPerRow = scannedBytes / Math.max(1, this.#rows);
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
