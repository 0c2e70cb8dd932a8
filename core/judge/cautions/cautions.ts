import { say, type Message } from '../../measure/message/index.ts';
import { running, type MachineState, type Target } from '../../machine/places/index.ts';
import { familyOf, type FamilyId } from '../../machine/family/index.ts';

const ENGINE_RUNS = say('cautions.engine-running-hands-leads-sleeves');
/** On the road, or against the brakes of a test bench. */
const UNDER_LOAD = say('cautions.under-load-one-drives-another-reads');
const CRANKS = say('cautions.cranking-out-of-gear');
const PROBES_APART = say('cautions.keep-probe-off-neighbouring-terminal');
const HIGH_PRESSURE = say('cautions.no-gauge-hose-fuel-rail');
const REFRIGERANT = say('cautions.no-gauge-hose-refrigerant-circuit');
const REGENERATION = say('cautions.filter-regenerates-makes-exhaust-parts');
const HOT_EXHAUST = say('cautions.exhaust-parts-valve-them-stay');
/** Said wherever somebody works along a loom. */
export const LOOM_CAUTION = say('cautions.know-loom-before-you-probe');

/** The cautions of the work that a reading asks for: short, and only where they apply. */
export function cautionsFor(target: Target, state: MachineState, family?: FamilyId): Message[] {
  const nearReference = target.kind === 'wire' && (target.lane === 'reference' || state.plug === 'unplugged');
  const gauge = target.kind === 'gauge';
  const hazards = family ? (familyOf(family).hazards ?? []) : [];
  return [
    ...(gauge && hazards.includes('high-pressure') ? [HIGH_PRESSURE] : []),
    ...(gauge && hazards.includes('refrigerant') ? [REFRIGERANT] : []),
    ...(running(state) ? [ENGINE_RUNS] : []),
    ...(state.engine === 'under-load' ? [UNDER_LOAD] : []),
    ...(state.engine === 'cranking' ? [CRANKS] : []),
    ...(running(state) && hazards.includes('regeneration') ? [REGENERATION] : []),
    ...(!running(state) && hazards.includes('hot-exhaust') && (gauge || state.stimulus) ? [HOT_EXHAUST] : []),
    ...(nearReference ? [PROBES_APART] : []),
    ...(state.harness?.wiggled ? [LOOM_CAUTION] : []),
  ];
}
