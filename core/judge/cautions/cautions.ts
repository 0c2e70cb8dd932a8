import { running, type MachineState, type Target } from '../../machine/places/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';

const ENGINE_RUNS =
  'Engine running: hands, leads and sleeves clear of belts and of fans, which start by themselves; exhaust outdoors only; hot parts.';
const PROBES_APART =
  'Keep the probe off the neighbouring terminal: a shorted reference can take the control unit with it.';
const HIGH_PRESSURE =
  'No gauge on a hose: a fuel rail holds pressure that cuts skin, also with the engine stopped. Only with the maker’s adapter, relieved by the maker’s procedure, by whoever is trained for it.';
const REFRIGERANT =
  'No gauge on a hose: a refrigerant circuit is opened only by licensed people with their own equipment, by local rules. Frostbite, and no open flame.';
const REGENERATION =
  'A filter that regenerates makes exhaust and its parts hot enough to set fire: nothing that burns near it, and nobody touches its hoses and pipes.';
const HOT_EXHAUST = 'Exhaust parts and the valve on them stay hot long after the engine has stopped.';
/** Said wherever somebody works along a loom. */
export const LOOM_CAUTION =
  'Know the loom before you probe or move it: airbag wiring (mostly yellow) is never probed, orange is high voltage and left alone. Back-probe, do not pierce.';

/** The cautions of the work that a reading asks for: short, and only where they apply. */
export function cautionsFor(target: Target, state: MachineState, family?: FamilyId): string[] {
  const nearReference = target.kind === 'wire' && (target.lane === 'reference' || state.plug === 'unplugged');
  const gauge = target.kind === 'gauge';
  const hazards = family ? (familyOf(family).hazards ?? []) : [];
  return [
    ...(gauge && hazards.includes('high-pressure') ? [HIGH_PRESSURE] : []),
    ...(gauge && hazards.includes('refrigerant') ? [REFRIGERANT] : []),
    ...(running(state) ? [ENGINE_RUNS] : []),
    ...(running(state) && hazards.includes('regeneration') ? [REGENERATION] : []),
    ...(!running(state) && hazards.includes('hot-exhaust') && (gauge || state.stimulus) ? [HOT_EXHAUST] : []),
    ...(nearReference ? [PROBES_APART] : []),
    ...(state.harness?.wiggled ? [LOOM_CAUTION] : []),
  ];
}
