import type { Recording } from '../sweep/index.ts';
import type { Layout, TimeForm } from './layout.ts';

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
/** Any integer of so many digits is one that a double holds. */
const SURELY_EXACT_DIGITS = 15;

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
  #rest: Uint8Array = new Uint8Array(0);
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
    let piece = bytes;
    if (this.#rest.length > 0) {
      piece = new Uint8Array(this.#rest.length + bytes.length);
      piece.set(this.#rest);
      piece.set(bytes, this.#rest.length);
    }
    const end = piece.lastIndexOf(LF);
    if (end < 0) {
      this.#rest = piece;
      return;
    }
    this.#scan(piece, end + 1);
    this.#rest = piece.slice(end + 1);
  }

  finish(): ScanResult {
    if (this.#rest.length > 0) {
      const last = new Uint8Array(this.#rest.length + 1);
      last.set(this.#rest);
      last[this.#rest.length] = LF;
      this.#rest = new Uint8Array(0);
      this.#scan(last, last.length);
    }
    const { columns, timeColumn } = this.#layout;
    // Views, not copies: a recording of millions is there once.
    const all = this.#columns.map((column) => column.subarray(0, this.#rows));
    const moments = timeColumn === undefined ? undefined : all[timeColumn];
    const start = moments?.[0] ?? 0;
    moments?.forEach((moment, i) => (moments[i] = moment - start));
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
    const width = this.#columns.length;
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
      let column = 0;
      for (;;) {
        // Nearly every cell is digits with at most one point: read in one pass, and only the others looked at twice.
        const after = column < width ? this.#plain(bytes, at, column) : -1;
        if (after >= 0) {
          column++;
          at = after + 1;
          if (bytes[after] === LF) break;
          continue;
        }
        let stop = at;
        const quoted = bytes[at] === QUOTE;
        if (quoted) {
          stop = bytes.indexOf(QUOTE, at + 1);
          if (stop < 0 || stop >= end) stop = end - 1;
        }
        let byte = bytes[stop]!;
        while (byte !== this.#delimiter && byte !== LF) byte = bytes[++stop]!;
        if (column < width) this.#columns[column]![this.#rows] = this.#cell(bytes, at, stop, column);
        else if (stop > at && bytes[at] !== CR) this.#extra++;
        column++;
        at = stop + 1;
        if (byte === LF) break;
      }
      for (; column < width; column++) {
        this.#columns[column]![this.#rows] = NaN;
        this.#missing++;
      }
      if (timeColumn === undefined || this.#keepsTime(timeColumn)) this.#rows++;
      this.#line++;
    }
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

  /** Reads a plain number and gives where its delimiter or line end is; -1 where the cell is anything else. */
  #plain(bytes: Uint8Array, from: number, column: number): number {
    const scale = this.#scales[column]!;
    if (scale === 0) return -1;
    let at = from;
    let byte = bytes[at]!;
    const negative = byte === MINUS;
    if (negative) byte = bytes[++at]!;
    const first = at;
    let mantissa = 0;
    while (byte >= ZERO && byte <= NINE) {
      mantissa = mantissa * 10 + (byte - ZERO);
      byte = bytes[++at]!;
    }
    let decimals = 0;
    let digits = at - first;
    if (byte === this.#decimal) {
      const point = at;
      byte = bytes[++at]!;
      while (byte >= ZERO && byte <= NINE) {
        mantissa = mantissa * 10 + (byte - ZERO);
        byte = bytes[++at]!;
      }
      decimals = at - point - 1;
      digits += decimals;
    }
    if (byte === CR && bytes[at + 1] === LF) byte = bytes[++at]!;
    if ((byte !== this.#delimiter && byte !== LF) || digits === 0 || digits > SURELY_EXACT_DIGITS) return -1;
    const value = decimals === 0 ? mantissa : mantissa / TENS[decimals]!;
    this.#columns[column]![this.#rows] = scale * (negative ? -value : value);
    return at;
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
      this.#zoned = ZONE.test(textOf(bytes, start, stop));
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

const textOf = (bytes: Uint8Array, start: number, stop: number): string =>
  String.fromCharCode(...bytes.subarray(start, stop));

/** Seconds of a clock, whose decimals stand behind a point or a comma. */
const secondsIn = (bytes: Uint8Array, start: number, stop: number): number =>
  Number(textOf(bytes, start, stop).replace(',', '.'));

const ZONE = /(?:Z|[+-]\d{2}:?\d{2})$/u;

/** An ISO 8601 date with time; without a zone its own clock is as good as any. */
function dateSeconds(written: string): { wholeSeconds: number; fraction: number } {
  const text = written.replace(' ', 'T').replace(',', '.');
  const [zone = 'Z'] = ZONE.exec(text) ?? [];
  const [whole = '', fraction = ''] = text.replace(ZONE, '').split('.');
  return {
    wholeSeconds: Date.parse(whole + zone) / 1000,
    fraction: fraction === '' ? 0 : Number(`0.${fraction}`),
  };
}
