import { running, type MachineState, type Target } from '../evidence/index.ts';

const ENGINE_RUNS =
  'Engine running: hands, leads and sleeves clear of belts and fans; exhaust outdoors only; hot parts.';
const PROBES_APART =
  'Keep the probe off the neighbouring terminal: a shorted reference can take the control unit with it.';

/** The cautions of the work that a reading asks for: short, and only where they apply. */
export function cautionsFor(target: Target, state: MachineState): string[] {
  const nearReference = target.kind === 'wire' && (target.lane === 'reference' || state.plug === 'unplugged');
  return [...(running(state) ? [ENGINE_RUNS] : []), ...(nearReference ? [PROBES_APART] : [])];
}
