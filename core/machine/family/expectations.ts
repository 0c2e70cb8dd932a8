import { idleRuleGramsPerSecond } from '../../measure/airflow/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { saturationKpaAbs } from '../../measure/refrigerant/index.ts';
import type { EngineState } from '../places/index.ts';
import { expectedManifoldPressure } from './enginePressure.ts';
import type { Expects, ValueBand, ValueContext } from './valueBand.ts';

const isStopped = (engine: EngineState): boolean => engine === 'key-off' || engine === 'koeo';
const band = (lowest: number, highest: number, reason: string) => ok({ lowest, highest, reason });

const needsAmbient = () =>
  fail(
    'needs-ambient',
    'The expected value follows from the ambient pressure.',
    'Give the ambient pressure first.',
  );

/** A pressure against ambient, in the basis that the sensor reports. */
export function atAmbient(
  { profile, ambient }: ValueContext,
  lowestAbove: number,
  highestAbove: number,
  reason: string,
): Result<ValueBand, 'needs-ambient'> {
  if (profile.measures !== 'absolute-pressure') return band(lowestAbove, highestAbove, reason);
  if (!ambient) return needsAmbient();
  const { pressureKpaAbs } = ambient;
  return band(
    pressureKpaAbs + lowestAbove,
    pressureKpaAbs + highestAbove,
    `${reason}; ambient is ${pressureKpaAbs.toFixed(1)} kPa`,
  );
}

export const alwaysAmbient: Expects = (_state, context) =>
  atAmbient(context, 0, 0, 'it always reads ambient pressure');

export const inManifold: Expects = ({ engine }, { ambient }) => {
  if (!ambient) return needsAmbient();
  const { lowestKpaAbs, highestKpaAbs, reason } = expectedManifoldPressure(engine, ambient.pressureKpaAbs);
  return band(lowestKpaAbs, highestKpaAbs, reason);
};

export const boosted: Expects = ({ engine }, context) => {
  if (isStopped(engine)) return atAmbient(context, 0, 0, 'the engine is stopped, so there is no boost');
  if (engine === 'idle') {
    return atAmbient(context, -5, 5, 'an unloaded engine at idle makes next to no boost (common practice)');
  }
  return fail(
    'makers-data',
    'Boost under load or on a snap depends on the engine.',
    'Look that it rises and falls with the revs, and take the value from the maker’s data.',
  );
};

/** Common practice says zero at rest and rising with revs; how far is from memory, for a clean filter. */
export const acrossFilter: Expects = ({ engine }, { profile }) => {
  if (isStopped(engine)) return band(0, 0, 'no gas flows through the filter');
  if (engine === 'idle') return band(0, 3, 'a clean filter holds back little at idle (from memory)');
  return band(
    0.5,
    Math.min(15, profile.highest),
    'it rises with revs; a clean filter stays low (from memory)',
  );
};

export const exhaustFlow: Expects = ({ engine, stimulus }, { profile }) => {
  if (stimulus?.kind === 'valve-open') {
    return band(
      profile.lowest + 0.5 * (profile.highest - profile.lowest),
      profile.highest,
      'the valve is forced open at about 1,500 rpm: the signal rises towards 4 V (common practice)',
    );
  }
  return band(0, 0, isStopped(engine) ? 'no gas flows' : 'with the valve shut no gas flows past the orifice');
};

/** A share of travel may be a little short of its stops. */
const STOP_SHARE = 0.05;

const stopSlack = ({ profile: { lowest, highest } }: ValueContext): number => STOP_SHARE * (highest - lowest);

/** At its far stop where somebody moves it there, else what its family does by itself. */
const moved =
  (otherwise: Expects): Expects =>
  (state, context) => {
    const { highest } = context.profile;
    return state.stimulus?.kind === 'full-travel'
      ? band(highest - stopSlack(context), highest, 'moved to its far stop')
      : otherwise(state, context);
  };

export const flapRests = moved((_state, { profile: { lowest, highest } }) =>
  band(lowest, highest, 'it may rest anywhere between its stops: move the arm by hand'),
);

export const pedalRests = moved((_state, context) =>
  band(context.profile.lowest, context.profile.lowest + stopSlack(context), 'the pedal is at rest'),
);

export const throttleRests = moved(({ engine }, context) => {
  const { lowest, highest } = context.profile;
  switch (engine) {
    case 'snap-open':
      return band(lowest + 0.6 * (highest - lowest), highest, 'the throttle is snapped open');
    case 'idle':
    case 'held-revs':
      return band(
        lowest,
        lowest + 4 * stopSlack(context),
        'little opening is needed without load (common practice)',
      );
    case 'key-off':
    case 'koeo':
      return band(lowest, lowest + stopSlack(context), 'the throttle is at its closed stop');
  }
});

export const flowing: Expects = ({ engine }, { displacementLitres }) => {
  if (isStopped(engine)) return band(0, 0.3, 'no air moves');
  if (engine !== 'idle') {
    return fail(
      'makers-data',
      'The flow follows from speed, pressure and temperature.',
      'Work it out under Reference, Airflow, from the revs and the manifold pressure.',
    );
  }
  if (displacementLitres === undefined) {
    return fail(
      'needs-displacement',
      'At idle the flow in g/s is about the engine’s litres, or a little more.',
      'Give the engine’s displacement, under Job.',
    );
  }
  const { lowest, highest } = idleRuleGramsPerSecond(displacementLitres);
  return band(
    lowest,
    highest,
    `at warm idle about the engine’s ${displacementLitres} litres in g/s, or a little more (common practice)`,
  );
};

export const saturated: Expects = ({ engine }, { ambient, profile, refrigerant = 'R-134a' }) => {
  if (!isStopped(engine)) {
    return fail(
      'makers-data',
      'With the compressor running the pressure depends on the load.',
      'Read it at rest, with the engine stopped for some hours.',
    );
  }
  if (ambient?.airCelsius === undefined) {
    return fail(
      'needs-temperature',
      'At rest the pressure follows from the air temperature.',
      'Give the air temperature with the ambient pressure.',
    );
  }
  // A rested system is hardly ever within a few degrees of the air all through.
  const ends = [-RESTED_KELVIN, RESTED_KELVIN].map((off) =>
    saturationKpaAbs(refrigerant, (ambient.airCelsius as number) + off + 273.15),
  );
  const [cold, warm] = ends;
  if (!cold?.ok || !warm?.ok) {
    return fail(
      'makers-data',
      `${ambient.airCelsius} °C is outside the table of ${refrigerant}.`,
      'Read it when the system has rested between −18 and 58 °C.',
    );
  }
  const basisKpa = profile.measures === 'gauge-pressure' ? ambient.pressureKpaAbs : 0;
  return band(
    cold.value - basisKpa,
    warm.value - basisKpa,
    `at rest it is the saturation pressure of ${refrigerant} at ${ambient.airCelsius} ± ${RESTED_KELVIN} °C`,
  );
};

const RESTED_KELVIN = 2;

export const makersRail: Expects = () =>
  fail(
    'makers-data',
    'Rail pressure differs from maker to maker.',
    'Take the value for this state from the maker’s data.',
  );

export const unknownQuantity: Expects = ({ engine }, context) =>
  isStopped(engine)
    ? atAmbient(context, 0, 0, 'nothing drives the port')
    : fail(
        'makers-data',
        'What its port sees with the engine running is not known.',
        'Read it with the engine stopped, or put the hand pump on it.',
      );
