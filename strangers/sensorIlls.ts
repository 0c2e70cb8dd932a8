import type { Ill, IllMaker, IllsByWeight } from './ill.ts';
import { OPEN_OHMS } from './nodalCircuit.ts';

const isSensor: Ill['isAt'] = ({ of }) => of === 'sensor';
const sensorIll = (name: string, rest: Partial<Ill>): Ill => ({
  name,
  class: 'sensor',
  isAt: isSensor,
  ...rest,
});

const stuck: IllMaker = (draw) => {
  const at = draw.between(0.01, 0.99);
  return sensorIll('stuck', { element: () => at });
};
const shifted: IllMaker = (draw) => {
  const by = (draw.happens(0.5) ? 1 : -1) * draw.between(0.04, 0.28);
  return sensorIll('shifted', { element: (share) => share + by });
};
const gain: IllMaker = (draw) => {
  const factor = draw.weighted([
    [3, draw.between(0.2, 0.85)],
    [1, draw.between(1.15, 1.6)],
  ]);
  return sensorIll('gain', {
    element: (share, resting) => resting + factor * (share - resting),
    outside: factor > 1,
  });
};
const saturates: IllMaker = (draw) => {
  const upTo = draw.between(0.3, 0.75);
  return sensorIll('saturates', { element: (share) => Math.min(upTo, share), outside: true });
};
const bends: IllMaker = (draw) => {
  const power = draw.of([0.5, 0.6, 1.6, 2]);
  return sensorIll('bends', { element: (share) => Math.max(0, share) ** power, outside: true });
};
const sticks: IllMaker = (draw) => {
  const from = draw.between(0.1, 0.4);
  const to = from + draw.between(0.25, 0.5);
  return sensorIll('sticks over a part', {
    element: (share) => (share > from && share < to ? from : share),
    outside: true,
  });
};
const weakOutput: IllMaker = (draw, { body }) =>
  body === 'chip'
    ? sensorIll('weak output', { outputOhms: draw.decades(20_000, 400_000), outside: true })
    : undefined;
const loads: IllMaker = (draw, { body }) =>
  body === 'chip' ? sensorIll('sensor loads its supply', { chipDraws: draw.decades(0.7, 40) }) : undefined;
const lostInside: IllMaker = (draw, { wires }) => {
  const wire = draw.of(wires);
  return sensorIll(`lost inside ${wire}`, { addedOhms: { [`${wire}:inside`]: OPEN_OHMS } });
};
const trackIll: IllMaker = (draw, { body }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  const number = body === 'pair' ? draw.of([1, 2] as const) : 1;
  const openAt = draw.of(['upper', 'lower', 'wiper'] as const);
  return sensorIll(`track ${openAt}`, { track: { number, openAt } });
};
const deadSpot: IllMaker = (draw, { body }) => {
  if (body !== 'track' && body !== 'pair') return undefined;
  const from = draw.between(0.2, 0.6);
  const number = body === 'pair' ? draw.of([1, 2] as const) : 1;
  return sensorIll('dead spot', {
    track: { number, deadFrom: from, deadTo: from + draw.between(0.02, 0.08) },
  });
};
const trackEnd: IllMaker = (draw, { body }) =>
  body === 'track' || body === 'pair'
    ? sensorIll('resistance at a track’s end', {
        track: { number: 1, endOhms: draw.decades(600, 6000) },
        outside: true,
      })
    : undefined;
const thermistorOpen: IllMaker = (_draw, { companion }) =>
  companion?.kind === 'temperature' ? sensorIll('thermistor open', { thermistorOpen: true }) : undefined;

const wrongPart: IllMaker = (draw, { body }) => {
  if (body !== 'chip') return undefined;
  const factor = draw.weighted([
    [2, draw.between(0.35, 0.8)],
    [1, draw.between(1.3, 1.9)],
  ]);
  const foot = draw.between(-0.1, 0.12);
  return {
    name: 'another variant',
    class: 'wrong-part',
    isAt: ({ of }) => of === 'wrong-part',
    element: (share) => factor * share + foot,
    shows: ['part-number'],
  };
};

/** In the sensor, or another one in its place. */
export const SENSOR_ILLS: IllsByWeight = [
  [6, stuck],
  [6, shifted],
  [4, gain],
  [2, saturates],
  [1.5, bends],
  [1.5, sticks],
  [1.5, weakOutput],
  [2, loads],
  [3, lostInside],
  [4, trackIll],
  [4, deadSpot],
  [1, trackEnd],
  [1, thermistorOpen],
  [3, wrongPart],
];
