import type { EngineState } from '@lettura/core/machine/places';
import { saturationKpaAbs } from '@lettura/core/measure/refrigerant';
import type { BenchMachine, Surroundings } from './benchMachine.ts';

export type Quantity = BenchMachine['quantity'];

const stopped = (engine: EngineState): boolean => engine === 'key-off' || engine === 'koeo';

/** A hand pump on the port overrules whatever the engine does. */
const unlessPumped =
  (otherwise: Quantity, atRest: (surroundings: Surroundings) => number): Quantity =>
  (state, surroundings) =>
    state.stimulus?.kind === 'pump'
      ? atRest(surroundings) + state.stimulus.kpaAboveAmbient
      : otherwise(state, surroundings);

const ambient = ({ ambientKpaAbs }: Surroundings): number => ambientKpaAbs;
const zero = () => 0;

/** How far the value of an engine state lies between stopped (0) and wide open (1); invented, but of the right order. */
const EFFORT: Record<EngineState, number> = {
  'key-off': 0,
  koeo: 0,
  cranking: 0.02,
  idle: 0.1,
  'held-revs': 0.4,
  'snap-open': 0.9,
  'under-load': 0.8,
};

export const manifoldKpaAbs = (engine: EngineState, { ambientKpaAbs, idleKpaAbs }: Surroundings): number => {
  switch (engine) {
    case 'key-off':
    case 'koeo':
      return ambientKpaAbs;
    case 'cranking':
      return ambientKpaAbs - 6;
    case 'idle':
      return idleKpaAbs;
    case 'held-revs':
      return idleKpaAbs - 3;
    case 'snap-open':
    case 'under-load':
      return ambientKpaAbs - 4;
  }
};

export const manifold: Quantity = unlessPumped(
  ({ engine }, surroundings) => manifoldKpaAbs(engine, surroundings),
  ambient,
);

export const barometer: Quantity = (_state, { ambientKpaAbs }) => ambientKpaAbs;

export const boost: Quantity = unlessPumped(({ engine }, { ambientKpaAbs, individual }) => {
  if (stopped(engine)) return ambientKpaAbs;
  return (
    ambientKpaAbs +
    (engine === 'idle' || engine === 'cranking' ? individual : (60 + 10 * individual) * EFFORT[engine])
  );
}, ambient);

export const filter: Quantity = unlessPumped(
  ({ engine }, { individual }) => (14 + 3 * individual) * EFFORT[engine],
  zero,
);

/** Only the valve lets gas past the orifice. */
export const exhaustFlow: Quantity = unlessPumped(
  ({ stimulus }, { individual }) => (stimulus?.kind === 'valve-open' ? 18 + individual : 0),
  zero,
);

/** The throttle follows the engine; by hand it goes to its stop. */
export const throttle: Quantity = ({ engine, stimulus }, { individual }) => {
  if (stimulus?.kind === 'full-travel') return 99;
  if (stimulus?.kind === 'held') return stimulus.percent;
  return stopped(engine) || engine === 'cranking' ? 1 : (5 + individual) * (1 + 16 * (EFFORT[engine] - 0.1));
};

/** The pedal and a flap at rest stay where they are until somebody moves them. */
export const movedByHand: Quantity = ({ stimulus }, { individual }) => {
  if (stimulus?.kind === 'full-travel') return 99;
  return stimulus?.kind === 'held' ? stimulus.percent : 1 + 0.5 * individual;
};

export const ZERO_CELSIUS_KELVIN = 273.15;

/** At rest the refrigerant's saturation pressure; the compressor works against the condenser from idle on. */
export const refrigerant: Quantity = ({ engine }, { airCelsius, ambientKpaAbs, individual }) => {
  const running = engine === 'koeo' || engine === 'key-off' ? 0 : 25 + 2 * individual;
  const saturated = saturationKpaAbs('R-134a', airCelsius + running + ZERO_CELSIUS_KELVIN);
  return (saturated.ok ? saturated.value : ambientKpaAbs) - ambientKpaAbs;
};

export const rail: Quantity = ({ engine }, { individual }) =>
  stopped(engine) ? 0 : 32_000 + 1000 * individual + 110_000 * (EFFORT[engine] - 0.1);
