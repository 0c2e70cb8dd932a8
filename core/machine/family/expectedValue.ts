import { idleRuleGramsPerSecond } from '../../measure/airflow/index.ts';
import type { EngineState, MachineState } from '../places/index.ts';
import { fail, ok, type Result } from '../../measure/problem/index.ts';
import { isPressure, type Ambient } from '../../measure/quantity/index.ts';
import { saturationKpaAbs, type Refrigerant } from '../../measure/refrigerant/index.ts';
import { toleranceAt, type SensorProfile } from '../../measure/transfer/index.ts';
import { expectedManifoldPressure } from './enginePressure.ts';
import type { FamilyId } from './families.ts';

/** A band in the unit of what the sensor measures, with the reason in one line. */
export interface ValueBand {
  lowest: number;
  highest: number;
  reason: string;
}

export interface ValueContext {
  family: FamilyId;
  profile: SensorProfile;
  ambient: Ambient | undefined;
  /** Of the engine; for the flow at idle. */
  displacementLitres?: number | undefined;
  refrigerant?: Refrigerant | undefined;
}

export type ExpectationFault = 'needs-ambient' | 'needs-temperature' | 'needs-displacement' | 'makers-data';

/** What a sound sensor should report in a state, before anything is probed. The tolerance is not in it yet. */
export function expectedValue(
  state: MachineState,
  context: ValueContext,
): Result<ValueBand, ExpectationFault> {
  const { stimulus, engine } = state;
  if (stimulus?.kind === 'pump') return pumped(stimulus.kpaAboveAmbient, context);
  switch (context.family) {
    case 'manifold-pressure':
      return inManifold(engine, context);
    case 'barometric-pressure':
      return atAmbient(context, 0, 0, 'it always reads ambient pressure');
    case 'boost-pressure':
      return boosted(engine, context);
    case 'filter-differential':
      return acrossFilter(engine, context);
    case 'exhaust-flow-differential':
      return exhaustFlow(state, context);
    case 'throttle':
    case 'pedal':
    case 'flap':
      return positioned(state, context);
    case 'air-flow':
      return flowing(engine, context);
    case 'refrigerant-pressure':
      return saturated(engine, context);
    case 'fuel-rail-pressure':
      return fail(
        'makers-data',
        'Rail pressure differs from maker to maker.',
        'Take the value for this state from the maker’s data.',
      );
    case 'other':
      return isStopped(engine)
        ? atAmbient(context, 0, 0, 'nothing drives the port')
        : fail(
            'makers-data',
            'What its port sees with the engine running is not known.',
            'Read it with the engine stopped, or put the hand pump on it.',
          );
  }
}

const isStopped = (engine: EngineState): boolean => engine === 'key-off' || engine === 'koeo';
const band = (lowest: number, highest: number, reason: string) => ok({ lowest, highest, reason });

const needsAmbient = () =>
  fail(
    'needs-ambient',
    'The expected value follows from the ambient pressure.',
    'Give the ambient pressure first.',
  );

/** A pressure against ambient, in the basis that the sensor reports. */
function atAmbient(
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

const pumped = (kpaAboveAmbient: number, context: ValueContext): Result<ValueBand, ExpectationFault> =>
  isPressure(context.profile.measures)
    ? atAmbient(context, kpaAboveAmbient, kpaAboveAmbient, 'the hand pump sets the pressure')
    : fail('makers-data', 'A pump does nothing to this sensor.', 'Choose another state.');

function inManifold(engine: EngineState, { ambient }: ValueContext): Result<ValueBand, 'needs-ambient'> {
  if (!ambient) return needsAmbient();
  const { lowestKpaAbs, highestKpaAbs, reason } = expectedManifoldPressure(engine, ambient.pressureKpaAbs);
  return band(lowestKpaAbs, highestKpaAbs, reason);
}

function boosted(engine: EngineState, context: ValueContext): Result<ValueBand, ExpectationFault> {
  if (isStopped(engine)) return atAmbient(context, 0, 0, 'the engine is stopped, so there is no boost');
  if (engine === 'idle') {
    return atAmbient(context, -5, 5, 'an unloaded engine at idle makes next to no boost (common practice)');
  }
  return fail(
    'makers-data',
    'Boost under load or on a snap depends on the engine.',
    'Look that it rises and falls with the revs, and take the value from the maker’s data.',
  );
}

/** Common practice says zero at rest and rising with revs; how far is from memory, for a clean filter. */
function acrossFilter(engine: EngineState, { profile }: ValueContext): Result<ValueBand, never> {
  if (isStopped(engine)) return band(0, 0, 'no gas flows through the filter');
  if (engine === 'idle') return band(0, 3, 'a clean filter holds back little at idle (from memory)');
  return band(
    0.5,
    Math.min(15, profile.highest),
    'it rises with revs; a clean filter stays low (from memory)',
  );
}

function exhaustFlow(
  { engine, stimulus }: MachineState,
  { profile }: ValueContext,
): Result<ValueBand, never> {
  if (stimulus?.kind === 'valve-open') {
    return band(
      profile.lowest + 0.5 * (profile.highest - profile.lowest),
      profile.highest,
      'the valve is forced open at about 1,500 rpm: the signal rises towards 4 V (common practice)',
    );
  }
  return band(0, 0, isStopped(engine) ? 'no gas flows' : 'with the valve shut no gas flows past the orifice');
}

/** A share of travel may be a little short of its stops. */
const STOP_SHARE = 0.05;

function positioned(
  { engine, stimulus }: MachineState,
  { family, profile }: ValueContext,
): Result<ValueBand, never> {
  const { lowest, highest } = profile;
  const slack = STOP_SHARE * (highest - lowest);
  if (stimulus?.kind === 'full-travel') return band(highest - slack, highest, 'moved to its far stop');
  if (family === 'flap')
    return band(lowest, highest, 'it may rest anywhere between its stops: move the arm by hand');
  if (family === 'throttle' && engine === 'snap-open') {
    return band(lowest + 0.6 * (highest - lowest), highest, 'the throttle is snapped open');
  }
  if (family === 'throttle' && (engine === 'idle' || engine === 'held-revs')) {
    return band(lowest, lowest + 4 * slack, 'little opening is needed without load (common practice)');
  }
  return band(
    lowest,
    lowest + slack,
    family === 'pedal' ? 'the pedal is at rest' : 'the throttle is at its closed stop',
  );
}

function flowing(
  engine: EngineState,
  { displacementLitres }: ValueContext,
): Result<ValueBand, ExpectationFault> {
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
}

function saturated(
  engine: EngineState,
  { ambient, profile, refrigerant = 'R-134a' }: ValueContext,
): Result<ValueBand, ExpectationFault> {
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
}

const RESTED_KELVIN = 2;

/** The band of a sound sensor: with its tolerance and the doubt of ambient around it. */
export function withTolerance(
  { lowest, highest, reason }: ValueBand,
  { profile, ambient }: ValueContext,
): ValueBand {
  const ambientDoubt = profile.measures === 'absolute-pressure' ? (ambient?.expandedUncertaintyKpa ?? 0) : 0;
  const around = (value: number): number => Math.hypot(toleranceAt(value, profile), ambientDoubt);
  return { lowest: lowest - around(lowest), highest: highest + around(highest), reason };
}
