import { fixed, plain, say, verbatim, type Message } from '../message/index.ts';
import { fail, ok, type Result } from '../problem/index.ts';
import { oneNumber } from './oneNumber.ts';
import { GRAMS_PER_SECOND_PER_UNIT } from './otherUnits.ts';
import { toKpa, PRESSURE_UNITS, type PressureUnit } from './pressureUnits.ts';

/** What the place being read can give: a wire volts, a gauge pressure in the unit on its dial, live data its own unit. */
export type ReadingUnit = 'V' | '%' | '°' | 'g/s' | PressureUnit;

export interface ReadingWarning {
  code: 'millivolts' | 'millivolts-suspected' | 'leads-swapped' | 'past-instrument-range' | 'live-circuit';
  message: Message;
}

export interface ParsedReading {
  /** Volts, kilopascals on the basis the reader states elsewhere, %, ° or g/s. */
  value: number;
  quantity: 'volts' | 'pressure' | 'other';
  warnings: ReadingWarning[];
}

export type ReadingFault =
  | 'empty-reading'
  | 'not-a-number'
  | 'two-readings'
  | 'wrong-quantity'
  | 'over-range'
  | 'value-out-of-range'
  | 'unknown-unit';

/** What the inputs of a hand-held meter on a vehicle can meet; anything past it is a slip of the finger. */
const VOLTS_RANGE = [-30, 60] as const;
const LOWEST_KPA = -110;
/** Past this a pressure is a slip, unless the sensor in hand is made for more. */
const MANIFOLD_HIGHEST_KPA = 1000;
/** No 5 V circuit gives this: more likely the small "m" beside the digits was overlooked, or the battery touched. */
const NOT_ON_A_SENSOR_WIRE_VOLTS = 6;
/** A minus this small is the meter's own noise about zero, not swapped leads. */
const NOISE_VOLTS = 0.02;

const NUMBER = /^([+\-−–]?)\s*(\d{1,7}(?:[.,]\d{0,6})?|[.,]\d{1,6})\s*(.*)$/u;
const OVER_RANGE = /^[+\-−]?\s*[o0]\.?l\.?$/iu;

const VOLTS = { quantity: 'volts', factor: 1 } as const;
const ELECTRICAL = new Map<string, { quantity: 'volts' | 'ohms'; factor: number }>(
  Object.entries({
    v: VOLTS,
    volt: VOLTS,
    volts: VOLTS,
    mv: { quantity: 'volts', factor: 1e-3 },
    m: { quantity: 'volts', factor: 1e-3 },
    Ω: { quantity: 'ohms', factor: 1 },
    r: { quantity: 'ohms', factor: 1 },
    ohm: { quantity: 'ohms', factor: 1 },
    ohms: { quantity: 'ohms', factor: 1 },
    k: { quantity: 'ohms', factor: 1e3 },
    kΩ: { quantity: 'ohms', factor: 1e3 },
    kohm: { quantity: 'ohms', factor: 1e3 },
    kohms: { quantity: 'ohms', factor: 1e3 },
    MΩ: { quantity: 'ohms', factor: 1e6 },
    mohm: { quantity: 'ohms', factor: 1e6 },
  } as const),
);

/** The unit that is meant by a name as people write it; undefined where it is none of pressure. */
export const pressureUnitNamed = (name: string): PressureUnit | undefined => {
  const plain = name
    .replace(/["”″]/u, 'in')
    .replace('²', '2')
    .replace('₂', '2')
    .replace(/[()\s]/gu, '')
    .toLowerCase();
  return PRESSURE_UNITS.find(
    (unit) =>
      unit
        .replace('²', '2')
        .replace(/[()\s]/gu, '')
        .toLowerCase() === plain,
  );
};

const electricalNamed = (name: string) => {
  const ohmSign = name.replace('\u2126', 'Ω'); // the ohm sign and the Greek letter look the same
  if (ohmSign === 'M') return { quantity: 'ohms' as const, factor: 1e6 }; // a meter's M, against its small m
  return ELECTRICAL.get(ohmSign) ?? ELECTRICAL.get(ohmSign.toLowerCase().replace('ω', 'Ω'));
};

/**
 * A reading as a technician says it: `2.31`, `2,31`, `12mV`, `-11.9 V`, `16.5 inHg`, `OL`.
 *
 * @param expected the unit that a bare number has in this place; it also says which quantity is wanted
 * @returns volts or kPa, with what is worth a second look; the sign and the size are kept as read
 */
export function parseReading(
  text: string,
  expected: ReadingUnit,
  highestKpa: number = MANIFOLD_HIGHEST_KPA,
): Result<ParsedReading, ReadingFault> {
  const trimmed = text.trim();
  if (trimmed === '')
    return fail('empty-reading', say('quantity.there-no-value-yet'), say('quantity.type-instrument-shows'));
  if (OVER_RANGE.test(trimmed)) {
    return fail(
      'over-range',
      say('quantity.ol-means-meter-over-range'),
      expected === 'V'
        ? say('quantity.set-meter-volts-dc-auto')
        : say('quantity.use-instrument-wider-range-read'),
    );
  }
  const match = NUMBER.exec(trimmed);
  if (!match)
    return fail(
      'not-a-number',
      say('quantity.not-number', { text: verbatim(trimmed) }),
      exampleFor(expected),
    );
  const [, sign, digits, unitText] = match as unknown as [string, string, string, string];
  const unit = unitText.trim();
  const signOf = (magnitude: number) => (sign === '' || sign === '+' ? magnitude : -magnitude);
  const number = oneNumber(digits, (magnitude) => fitsPlace(signOf(magnitude), unit, expected, highestKpa));
  if (!number.ok) return number;
  const signed = signOf(number.value);
  if (/^e[+-]?\d+$/iu.test(unit)) {
    return fail(
      'not-a-number',
      say('quantity.written-power-ten', { text: verbatim(trimmed) }),
      exampleFor(expected),
    );
  }
  if (expected === 'V') return asVolts(signed, unit, trimmed);
  return expected === '%' || expected === '°' || expected === 'g/s'
    ? asOther(signed, unit, trimmed, expected)
    : asPressure(signed, unit, trimmed, expected, highestKpa);
}

/** Whether a number in this unit is something that the place can hold. */
function fitsPlace(number: number, unit: string, expected: ReadingUnit, highestKpa: number): boolean {
  const within = (value: number, [lowest, highest]: readonly [number, number]) =>
    value >= lowest && value <= highest;
  if (expected === 'V') {
    const factor = (unit === '' ? VOLTS : electricalNamed(unit))?.factor ?? 1;
    return within(number * factor, VOLTS_RANGE);
  }
  if (expected === '%' || expected === '°' || expected === 'g/s')
    return within(number * (OTHER_UNITS[expected].get(unit.toLowerCase()) ?? 1), OTHER_RANGE[expected]);
  const pressureUnit = unit === '' ? expected : pressureUnitNamed(unit);
  return pressureUnit !== undefined && within(toKpa(number, pressureUnit), [LOWEST_KPA, highestKpa]);
}

function asVolts(number: number, unit: string, text: string): Result<ParsedReading, ReadingFault> {
  const electrical = unit === '' ? VOLTS : electricalNamed(unit);
  if (electrical?.quantity === 'ohms') {
    return fail(
      'wrong-quantity',
      say('quantity.resistance-place-takes-volts', { text: verbatim(text) }),
      say('quantity.set-meter-volts-dc-read'),
    );
  }
  if (!electrical) {
    return pressureUnitNamed(unit)
      ? fail(
          'wrong-quantity',
          say('quantity.pressure-place-takes-volts', { text: verbatim(text) }),
          exampleFor('V'),
        )
      : unknownUnit(unit, text, 'V');
  }
  const volts = number * electrical.factor;
  if (volts < VOLTS_RANGE[0] || volts > VOLTS_RANGE[1]) {
    return fail(
      'value-out-of-range',
      say('quantity.outside-v', { text: verbatim(text), lowest: VOLTS_RANGE[0], highest: VOLTS_RANGE[1] }),
      say('quantity.check-digits-unit-meter'),
    );
  }
  return ok({ value: volts, quantity: 'volts', warnings: voltWarnings(volts, electrical.factor, number) });
}

function voltWarnings(volts: number, factor: number, number: number): ReadingWarning[] {
  const warnings: ReadingWarning[] = [];
  if (factor !== 1) {
    warnings.push({
      code: 'millivolts',
      message: say('quantity.mv-next-nothing-5-v', {
        millivolts: plain(number, 'mV'),
        volts: fixed(volts, 4, 'V'),
      }),
    });
  } else if (Math.abs(volts) > NOT_ON_A_SENSOR_WIRE_VOLTS) {
    warnings.push({
      code: 'millivolts-suspected',
      message: say('quantity.v-5-v-circuit-does', { volts: plain(volts, 'V'), number: plain(number) }),
    });
  }
  if (volts < -NOISE_VOLTS) {
    warnings.push({
      code: 'leads-swapped',
      message: say('quantity.minus-sign-red-black-leads', {
        volts: plain(Math.abs(number), factor === 1 ? 'V' : 'mV'),
      }),
    });
  }
  return warnings;
}

/** What travel and flow can be, with room for a live value that is plainly wrong. */
const OTHER_RANGE = { '%': [-20, 150], '°': [-360, 360], 'g/s': [-50, 2000] } as const;
const OTHER_UNITS: Record<keyof typeof OTHER_RANGE, ReadonlyMap<string, number>> = {
  '%': new Map([
    ['', 1],
    ['%', 1],
    ['percent', 1],
  ]),
  '°': new Map([
    ['', 1],
    ['°', 1],
    ['deg', 1],
    ['rad', 180 / Math.PI],
  ]),
  'g/s': new Map([['', 1], ...Object.entries(GRAMS_PER_SECOND_PER_UNIT)]),
};

function asOther(
  number: number,
  unit: string,
  text: string,
  expected: keyof typeof OTHER_RANGE,
): Result<ParsedReading, ReadingFault> {
  const factor = OTHER_UNITS[expected].get(unit.toLowerCase());
  if (factor === undefined) return unknownUnit(unit, text, expected);
  const value = number * factor;
  const [lowest, highest] = OTHER_RANGE[expected];
  return value >= lowest && value <= highest
    ? ok({ value, quantity: 'other', warnings: [] })
    : fail(
        'value-out-of-range',
        say('quantity.is-outside-to', { text: verbatim(text), lowest, highest, unit: verbatim(expected) }),
        say('quantity.check-number-unit'),
      );
}

function asPressure(
  number: number,
  unit: string,
  text: string,
  expected: PressureUnit,
  highestKpa: number,
): Result<ParsedReading, ReadingFault> {
  const pressureUnit = unit === '' ? expected : pressureUnitNamed(unit);
  if (!pressureUnit) {
    return electricalNamed(unit)
      ? fail(
          'wrong-quantity',
          say('quantity.electrical-place-takes-pressure', { text: verbatim(text) }),
          exampleFor(expected),
        )
      : unknownUnit(unit, text, expected);
  }
  const kpa = toKpa(number, pressureUnit);
  if (kpa < LOWEST_KPA || kpa > highestKpa) {
    return fail(
      'value-out-of-range',
      say('quantity.outside-place-can-hold', { text: verbatim(text), kpa: fixed(kpa, 0, 'kPa') }),
      say('quantity.check-digits-unit-dial'),
    );
  }
  return ok({ value: kpa, quantity: 'pressure', warnings: [] });
}

const unknownUnit = (unit: string, text: string, expected: ReadingUnit) =>
  /^\d|[.,]/u.test(unit)
    ? fail('not-a-number', say('quantity.not-one-number', { text: verbatim(text) }), exampleFor(expected))
    : fail(
        'unknown-unit',
        say('quantity.not-unit-belongs-here', { unit: verbatim(unit) }),
        exampleFor(expected),
      );

function exampleFor(expected: ReadingUnit): Message {
  if (expected === 'V') return say('quantity.type-volts-meter-shows-them');
  const unit = OTHER_UNITS[expected as keyof typeof OTHER_UNITS] ? expected : 'inHg';
  return say('quantity.type-number-unit-example-16', { unit: verbatim(unit), expected: verbatim(expected) });
}
