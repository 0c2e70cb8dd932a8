import { type SensorProfile } from '../../../measure/transfer/index.ts';
import type { Places } from './places.ts';
import { ENGINE_FLOW_SCALE, valueScale } from './scales.ts';
import type { Spot } from '../../../machine/places/index.ts';
import { type Shown, type ShownSteps, VALUE_STEP_SHARE, keptBy, along } from './shownSteps.ts';

/** Of a gauge, or of what the engine has to draw: they know what is met and nothing of the circuit. */
export function stepsBesideCircuit(
  target: Extract<Spot, { kind: 'gauge' | 'engine-flow' }>,
  { ways, wayOf }: Places,
  profile: SensorProfile,
): ShownSteps {
  const scale = target.kind === 'gauge' ? valueScale(profile, VALUE_STEP_SHARE) : ENGINE_FLOW_SCALE;
  const isAtSensor = target.kind === 'gauge' && target.tap !== 'manifold';
  // They know nothing of a circuit, and so of no maker.
  const shown = keptBy((number): Shown => {
    const { atSource, met } = ways[number]!;
    const steps = along(isAtSensor ? met : atSource, scale.stepOf);
    return { isFlat: false, movesWith: { supply: false, pull: false }, at: () => steps, pieces: undefined };
  });
  return { scale, shownOf: wayOf, shown };
}
