import { type SensorProfile } from '../../../measure/transfer/index.ts';
import type { Places } from './places.ts';
import { valueScale } from './scales.ts';
import { type ShownSteps, VALUE_STEP_SHARE, keptBy, along } from './shownSteps.ts';

/** Of a gauge, which knows what is met and nothing of the circuit. */
export function stepsOfGauge(
  tap: 'manifold' | 'sensor-hose',
  { ways, wayOf }: Places,
  profile: SensorProfile,
): ShownSteps {
  const scale = valueScale(profile, VALUE_STEP_SHARE);
  const list = keptBy((number) => {
    const { atSource, met } = ways[number]!;
    return along(tap === 'manifold' ? atSource : met, scale.stepOf);
  });
  // A gauge knows nothing of a circuit, and so of no maker.
  return {
    scale,
    listOf: wayOf,
    list: (number) => list(number),
    isFlat: () => false,
    follows: () => false,
    pieces: () => undefined,
  };
}
