import { say, verbatim, type Message } from '../../measure/message/index.ts';
import {
  GRAMS_PER_SECOND_PER_UNIT,
  isPressure,
  pressureUnitNamed,
  toKpa,
  type Measurand,
  type PressureBasis,
} from '../../measure/quantity/index.ts';
import type { ChannelUse } from './findings/finding.ts';

/** How numbers of a channel become numbers in the core's unit: `value · scale + offset`; or what has to be said first. */
export type ChannelScale = { scale: number; offset: number } | { question: Message };

const VOLTS: Record<string, number> = { '': 1, v: 1, volt: 1, volts: 1, mv: 1e-3, uv: 1e-6, µv: 1e-6 };
const REVS: Record<string, number> = {
  '': 1,
  rpm: 1,
  '1/min': 1,
  'min-1': 1,
  'u/min': 1,
  'r/min': 1,
  hz: 60,
};
const TRAVEL: Record<'%' | '°', Record<string, number>> = {
  '%': { '': 1, '%': 1, percent: 1 },
  '°': { '': 1, '°': 1, deg: 1, degree: 1, degrees: 1, rad: 180 / Math.PI },
};
const same = (scale: number): ChannelScale => ({ scale, offset: 0 });

/** A pressure unit with the basis that is written into it: `kPa abs`, `psig`, `bar(a)`, `inHg vac`. */
export function pressureAndBasis(text: string): { unit: string; basis: PressureBasis | undefined } {
  const [, unit = text, mark = ''] =
    /^(.*?)[\s(_-]*(abs(?:olute)?|a|g|gauge|gage|rel(?:ative)?|vac(?:uum)?)?\)?$/iu.exec(text.trim()) ?? [];
  // The letter alone is a basis only behind a whole unit: “Pa” is none.
  if (mark === '' || pressureUnitNamed(unit) === undefined) return { unit: text, basis: undefined };
  const first = mark[0]!.toLowerCase();
  return { unit, basis: first === 'v' ? 'vacuum' : first === 'a' ? 'absolute' : 'gauge' };
}

/** Whether a unit is one of pressure, so that its basis has to be known. */
export const isPressureUnit = (unit: string): boolean =>
  pressureUnitNamed(pressureAndBasis(unit).unit) !== undefined;

export interface ChannelMeaning {
  use: ChannelUse;
  unit: string;
  basis?: PressureBasis | undefined;
  measures: Measurand;
  ambientKpaAbs: number | undefined;
}

/** What a channel's unit makes of its numbers, for what it is used as. Nothing is guessed where two readings are possible. */
export function channelScale({ use, unit, basis, measures, ambientKpaAbs }: ChannelMeaning): ChannelScale {
  const plain = unit.trim().toLowerCase();
  switch (use) {
    case 'signal':
    case 'second-signal':
    case 'reference':
      return VOLTS[plain] === undefined ? unknown(unit, 'volts') : same(VOLTS[plain]);
    case 'revs':
      return REVS[plain] === undefined ? unknown(unit, 'revs') : same(REVS[plain]);
    case 'other':
      return same(1);
    case 'live':
    case 'stimulus':
      return valueScale({ use, unit, basis, measures, ambientKpaAbs });
  }
}

function valueScale({ use, unit, basis, measures, ambientKpaAbs }: ChannelMeaning): ChannelScale {
  const plain = unit.trim().toLowerCase();
  if (measures === 'air-flow') {
    const factor =
      plain === '' ? 1 : new Map<string, number>(Object.entries(GRAMS_PER_SECOND_PER_UNIT)).get(plain);
    return factor === undefined ? unknown(unit, 'flow') : same(factor);
  }
  if (!isPressure(measures)) {
    const factor = TRAVEL[measures === 'angle' ? '°' : '%'][plain];
    return factor === undefined ? unknown(unit, 'travel') : same(factor);
  }
  const written = pressureAndBasis(unit);
  const named = pressureUnitNamed(written.unit);
  if (!named) return unknown(unit, 'pressure');
  const scale = toKpa(1, named);
  if (measures !== 'absolute-pressure') {
    const said = basis ?? written.basis;
    if (said === 'absolute')
      return ambientKpaAbs === undefined ? NEEDS_AMBIENT : { scale, offset: -ambientKpaAbs };
    return said === 'vacuum' ? { scale: -scale, offset: 0 } : same(scale);
  }
  // Standard live data of an absolute sensor is absolute; a gauge may be anything, and says so or is asked.
  const said = basis ?? written.basis ?? (use === 'live' ? 'absolute' : undefined);
  if (said === undefined) return { question: say('sweep.pressure-without-basis-say-whether') };
  if (said === 'absolute') return same(scale);
  if (ambientKpaAbs === undefined) return NEEDS_AMBIENT;
  return { scale: said === 'vacuum' ? -scale : scale, offset: ambientKpaAbs };
}

const NEEDS_AMBIENT: ChannelScale = {
  question: say('sweep.counts-ambient-pressure-not-given'),
};
const unknown = (unit: string, of: 'volts' | 'revs' | 'flow' | 'travel' | 'pressure'): ChannelScale => ({
  question:
    unit.trim() === '' ? say('sweep.no-unit', { of }) : say('sweep.other-unit', { unit: verbatim(unit), of }),
});
