import type { BenchMachine, ProbePoint } from '@lettura/bench';
import { PLACE_WORDS, PLACES } from '@lettura/core/evidence';
import { WIRE_WORDS } from '@lettura/core/fault';
import { upperFirst } from '../../ui/inWords.ts';

export interface PointChoice {
  key: string;
  words: string;
  point: ProbePoint;
}

/** Everywhere a clip or probe can go: battery first, then wire by wire; the sensor's own pins once its plug is off. */
export function benchPoints({ wiring }: BenchMachine, plugged: boolean): PointChoice[] {
  return [
    { key: 'battery-negative', words: 'Battery negative', point: 'battery-negative' },
    { key: 'battery-positive', words: 'Battery positive', point: 'battery-positive' },
    ...wiring.wires.flatMap(({ wire }) => [
      ...PLACES.map((place) => ({
        key: `${wire}:${place}`,
        words: `${upperFirst(WIRE_WORDS[wire])} at the ${PLACE_WORDS[place]}`,
        point: { wire, place },
      })),
      ...(plugged
        ? []
        : [
            {
              key: `${wire}:pin`,
              words: `${upperFirst(WIRE_WORDS[wire])} pin of the sensor itself`,
              point: { wire, place: 'pin' as const },
            },
          ]),
    ]),
  ];
}

export const keyOf = (point: ProbePoint): string =>
  typeof point === 'string' ? point : `${point.wire}:${point.place}`;

export const pointInWords = (point: ProbePoint): string => {
  if (point === 'battery-negative') return 'battery negative';
  if (point === 'battery-positive') return 'battery positive';
  return point.place === 'pin'
    ? `${WIRE_WORDS[point.wire]} pin of the sensor`
    : `${WIRE_WORDS[point.wire]} at the ${PLACE_WORDS[point.place]}`;
};
