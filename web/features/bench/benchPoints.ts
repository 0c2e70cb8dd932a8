import type { BenchMachine } from '@lettura/bench';
import { PLACES, pointSaid, type ProbePoint } from '@lettura/core/machine/places';
import { upperFirst } from '../../ui/inWords.ts';
import { said } from '../../ui/words.ts';

export interface PointChoice {
  key: string;
  words: string;
  point: ProbePoint;
}

/** Everywhere a clip or probe can go: battery first, then wire by wire; the sensor's own pins once its plug is off. */
export const benchPoints = ({ wiring }: BenchMachine, plugged: boolean): PointChoice[] =>
  [
    'battery-negative' as const,
    'battery-positive' as const,
    ...wiring.wires.flatMap(({ wire: lane }) => [
      ...PLACES.map((place) => ({ lane, place })),
      ...(plugged ? [] : [{ lane, place: 'pin' as const }]),
    ]),
  ].map((point) => ({ key: keyOf(point), words: upperFirst(said(pointSaid(point))), point }));

export const keyOf = (point: ProbePoint): string =>
  typeof point === 'string' ? point : `${point.lane}:${point.place}`;
