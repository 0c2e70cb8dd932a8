import { LIVE_ITEMS } from '../../machine/live/index.ts';
import { list, plain, say, verbatim, type Message, type Value } from '../../measure/message/index.ts';
import { monitorSaid } from './monitors.ts';
import type { Readiness } from './readiness.ts';

/** What one control unit of a vehicle says of itself; a part that it does not answer is left out. */
export interface UnitReport {
  /** As it answers on the bus. */
  unit: string;
  vehicleNumber?: string | undefined;
  stored?: string[] | undefined;
  pending?: string[] | undefined;
  /** That only the unit itself clears, once its self-test has passed. */
  permanent?: string[] | undefined;
  readiness?: Readiness | undefined;
  /** What it saw when a code was set. */
  freezeFrame?: { code: string; values: FrozenValue[] } | undefined;
}
interface FrozenValue {
  /** Of live data. */
  item: number;
  /** In its unit. */
  value: number;
}

/** Codes that a report says are there now: stored, or on their way to be. */
export const codesNow = (units: readonly UnitReport[]): string[] => [
  ...new Set(units.flatMap(({ stored = [], pending = [] }) => [...stored, ...pending])),
];

/** The sorts of code that a unit keeps, the surest first. */
export const CODE_KEEPINGS = ['stored', 'pending', 'permanent'] as const;
export type CodeKeeping = (typeof CODE_KEEPINGS)[number];

/** One unit in a line: what it keeps, and what of its self-tests is open. */
export function unitSaid(report: UnitReport): Message {
  const { unit, readiness, freezeFrame } = report;
  const parts: Value[] = [
    ...CODE_KEEPINGS.flatMap((keeping): Value[] => {
      const codes = report[keeping];
      return codes ? [keptSaid(keeping, codes)] : [];
    }),
    ...(readiness
      ? [
          readiness.unfinished.length === 0
            ? say('on-board.all-finished')
            : say('on-board.not-finished', { monitors: list(readiness.unfinished.map(monitorSaid)) }),
        ]
      : []),
    ...(freezeFrame ? [frozenSaid(freezeFrame)] : []),
  ];
  return parts.length === 0
    ? say('on-board.says-nothing', { unit: verbatim(unit) })
    : say('on-board.unit', { unit: verbatim(unit), parts: list(parts, 'semicolons') });
}

/** What a unit keeps of one sort. */
export const keptSaid = (keeping: CodeKeeping, codes: readonly string[]): Message =>
  codes.length === 0
    ? say(`on-board.none-${keeping}`)
    : say(`on-board.${keeping}`, { codes: list(codes.map(verbatim)) });

/** More digits than a unit counts in say nothing. */
const shown = (value: number): number => Number(value.toPrecision(4));

/** What it saw when it set a code; an item that is not known here is not said. */
export const frozenSaid = ({ code, values }: NonNullable<UnitReport['freezeFrame']>): Message =>
  say('on-board.frozen', {
    code: verbatim(code),
    values: list(
      values.flatMap(({ item, value }) => {
        const known = LIVE_ITEMS.get(item);
        return known
          ? [say('on-board.value', { name: known.said, value: plain(shown(value), known.unit) })]
          : [];
      }),
    ),
  });
