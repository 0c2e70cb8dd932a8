import { fixed, say, plain, verbatim, type Message } from '../../measure/message/index.ts';
import { idleExtremesGramsPerSecond, idleRuleGramsPerSecond } from '../../measure/airflow/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { saturationKpaAbs } from '../../measure/refrigerant/index.ts';
import type { EngineState } from '../places/index.ts';
import { expectedManifoldPressure } from './enginePressure.ts';
import type { Expects, ValueBand, ValueContext } from './valueBand.ts';

const isStopped = (engine: EngineState): boolean => engine === 'key-off' || engine === 'koeo';
const band = (lowest: number, highest: number, reason: Message) => ok({ lowest, highest, reason });

const needsAmbient = () =>
  fail(
    'needs-ambient',
    say('families.expected-value-follows-ambient-pressure'),
    say('families.give-ambient-pressure-first'),
  );

/** A pressure against ambient, in the basis that the sensor reports. */
export function atAmbient(
  { profile, ambient }: ValueContext,
  lowestAbove: number,
  highestAbove: number,
  reason: Message,
): Result<ValueBand, 'needs-ambient'> {
  if (profile.measures !== 'absolute-pressure') return band(lowestAbove, highestAbove, reason);
  if (!ambient) return needsAmbient();
  const { pressureKpaAbs } = ambient;
  return band(
    pressureKpaAbs + lowestAbove,
    pressureKpaAbs + highestAbove,
    say('families.ambient-is', { reason, ambient: fixed(pressureKpaAbs, 1, 'kPa') }),
  );
}

/** A barometer: ambient in every state; fails without it. */
export const alwaysAmbient: Expects = (_state, context) =>
  atAmbient(context, 0, 0, say('families.always-reads-ambient-pressure'));

/**
 * The manifold of an engine by its state, common practice; needs ambient, and the maker where it pulls under
 * load.
 */
export const inManifold: Expects = ({ engine }, { ambient }) => {
  if (!ambient) return needsAmbient();
  if (engine === 'under-load') return underLoad();
  const { lowestKpaAbs, highestKpaAbs, reason } = expectedManifoldPressure(engine, ambient.pressureKpaAbs);
  return band(lowestKpaAbs, highestKpaAbs, reason);
};

/** What the engine has to do, and whether it is boosted, is the maker's and the road's affair. */
const underLoad = () =>
  fail(
    'makers-data',
    say('families.under-load-depends-on-engine'),
    say('families.compare-under-load-with-maker'),
  );

/** Behind a compressor: about ambient while nothing drives it; under load only the maker knows. */
export const boosted: Expects = ({ engine }, context) => {
  if (isStopped(engine)) return atAmbient(context, 0, 0, say('families.engine-stopped-there-no-boost'));
  if (engine === 'cranking' || engine === 'idle') {
    return atAmbient(context, -5, 5, say('families.unloaded-engine-idle-makes-next'));
  }
  return fail(
    'makers-data',
    say('families.boost-under-load-snap-depends'),
    say('families.look-rises-falls-revs-take'),
  );
};

/** Common practice says zero at rest and rising with revs; how far is from memory, for a clean filter. */
export const acrossFilter: Expects = ({ engine }, { profile }) => {
  if (isStopped(engine)) return band(0, 0, say('families.no-gas-flows-through-filter'));
  if (engine === 'cranking' || engine === 'idle')
    return band(0, 3, say('families.clean-filter-holds-back-little'));
  if (engine === 'under-load') return underLoad();
  return band(0.5, Math.min(15, profile.highest), say('families.rises-revs-clean-filter-stays'));
};

/**
 * Across the orifice of exhaust-gas flow: nothing while the valve is shut, the upper half of the range with it
 * forced open (common practice).
 */
export const exhaustFlow: Expects = ({ engine, stimulus }, { profile }) => {
  if (stimulus?.kind === 'valve-open') {
    return band(
      profile.lowest + 0.5 * (profile.highest - profile.lowest),
      profile.highest,
      say('families.valve-forced-open-about-1'),
    );
  }
  return band(
    0,
    0,
    isStopped(engine) ? say('families.no-gas-flows') : say('families.valve-shut-no-gas-flows'),
  );
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
      ? band(highest - stopSlack(context), highest, say('families.moved-far-stop'))
      : otherwise(state, context);
  };

export const flapRests = moved((_state, { profile: { lowest, highest } }) =>
  band(lowest, highest, say('families.may-rest-anywhere-between-stops')),
);

export const pedalRests = moved((_state, context) =>
  band(context.profile.lowest, context.profile.lowest + stopSlack(context), say('families.pedal-rest')),
);

export const throttleRests = moved(({ engine }, context) => {
  const { lowest, highest } = context.profile;
  switch (engine) {
    case 'under-load':
      return band(lowest, highest, say('families.may-stand-anywhere-under-load'));
    case 'snap-open':
      return band(lowest + 0.6 * (highest - lowest), highest, say('families.throttle-snapped-open'));
    case 'cranking':
    case 'idle':
    case 'held-revs':
      return band(
        lowest,
        lowest + 4 * stopSlack(context),
        say('families.little-opening-needed-without-load'),
      );
    case 'key-off':
    case 'koeo':
      return band(lowest, lowest + stopSlack(context), say('families.throttle-closed-stop'));
  }
});

/** Mass of air by the litres rule at idle (common practice), in g/s; needs the displacement in litres. */
export const flowing: Expects = ({ engine }, { displacementLitres }) => {
  if (isStopped(engine)) return band(0, 0.3, say('families.no-air-moves'));
  if (engine !== 'idle') {
    return fail(
      'makers-data',
      say('families.flow-follows-speed-pressure-temperature'),
      say('families.work-out-under-reference-airflow'),
    );
  }
  if (displacementLitres === undefined) {
    return fail(
      'needs-displacement',
      say('families.idle-flow-g-s-about'),
      say('families.give-engines-displacement-under-job'),
    );
  }
  const { lowest, highest } = idleRuleGramsPerSecond(displacementLitres);
  const extremes = idleExtremesGramsPerSecond(displacementLitres);
  return ok({
    lowest,
    highest,
    reason: say('families.warm-idle-about-engines-litres', { litres: plain(displacementLitres) }),
    atMost: [extremes.lowest, extremes.highest] as const,
  });
};

/**
 * A rested refrigerant at the temperature of the air: its saturation pressure in kPa; needs that temperature in
 * °C.
 */
export const saturated: Expects = ({ engine }, { ambient, profile, refrigerant = 'R-134a' }) => {
  if (!isStopped(engine)) {
    return fail(
      'makers-data',
      say('families.compressor-running-pressure-depends-load'),
      say('families.read-rest-engine-stopped-some'),
    );
  }
  if (ambient?.airCelsius === undefined) {
    return fail(
      'needs-temperature',
      say('families.rest-pressure-follows-air-temperature'),
      say('families.give-air-temperature-ambient-pressure'),
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
      say('families.c-outside-table', {
        celsius: plain(ambient.airCelsius, '°C'),
        refrigerant: verbatim(refrigerant),
      }),
      say('families.read-when-system-rested-between'),
    );
  }
  const basisKpa = profile.measures === 'gauge-pressure' ? ambient.pressureKpaAbs : 0;
  return band(
    cold.value - basisKpa,
    warm.value - basisKpa,
    say('families.rest-saturation-pressure-c', {
      refrigerant: verbatim(refrigerant),
      celsius: plain(ambient.airCelsius),
      within: plain(RESTED_KELVIN, '°C'),
    }),
  );
};

const RESTED_KELVIN = 2;

/** Fuel rail: only the maker knows. */
export const makersRail: Expects = () =>
  fail(
    'makers-data',
    say('families.rail-pressure-differs-maker-maker'),
    say('families.take-value-state-makers-data'),
  );

/** Any other pressure: ambient while the engine stands, and nothing said else. */
export const unknownQuantity: Expects = ({ engine }, context) =>
  isStopped(engine)
    ? atAmbient(context, 0, 0, say('families.nothing-drives-port'))
    : fail(
        'makers-data',
        say('families.port-sees-engine-running-not'),
        say('families.read-engine-stopped-put-hand'),
      );
