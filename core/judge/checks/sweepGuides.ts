import type { MachineState } from '../../machine/places/index.ts';
import { expectedReading } from '../expectation/index.ts';
import { canBePumped, type FamilyId } from '../../machine/family/index.ts';
import { fromKpa, type PressureUnit } from '../../measure/quantity/index.ts';
import { cautionsFor } from '../cautions/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { pumpState, pumpSteps } from './pumpSweep.ts';

/** One thing to do while a recording runs. */
export interface GuideStep {
  /** Short enough to stand beside its mark in a plot. */
  words: string;
  state: MachineState;
  /** Of the signal at the plug, where it can be said. */
  expectedVolts: { lowest: number; highest: number } | undefined;
}

/** A way to move a sensor while it is recorded. */
export interface SweepGuide {
  id: 'pump' | 'slow-travel' | 'snap' | 'revs';
  name: string;
  how: string;
  steps: GuideStep[];
  cautions: string[];
}

const SIGNAL = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
const PUMP_POINTS = 6;
const AT_REST: MachineState = { engine: 'koeo', plug: 'connected' };
const AT_FAR_STOP: MachineState = { ...AT_REST, stimulus: { kind: 'full-travel' } };
const engineAt = (engine: MachineState['engine']): MachineState => ({ engine, plug: 'connected' });

const MOVED_BY_HAND: Partial<Record<FamilyId, string>> = {
  throttle: 'Key on, engine off. Turn the throttle by the pedal or by hand, evenly: five seconds each way.',
  pedal: 'Key on, engine off. Press the pedal evenly: five seconds down, five seconds up.',
  flap: 'Key on, engine off. Move the arm by hand, evenly: five seconds each way. The percentage must follow the arm.',
};
const SNAPPED: readonly FamilyId[] = ['throttle', 'pedal', 'flap'];
const REVVED: readonly FamilyId[] = [
  'manifold-pressure',
  'boost-pressure',
  'filter-differential',
  'exhaust-flow-differential',
  'air-flow',
];

/** How a sensor of this job can be moved while it is recorded, the usual way first. */
export function sweepGuides(
  caseFile: CaseFile,
  { vacuum, absolute }: { vacuum: PressureUnit; absolute: PressureUnit },
): SweepGuide[] {
  const context = expectationContext(caseFile);
  const step = (words: string, state: MachineState): GuideStep => {
    const expected = expectedReading(SIGNAL, state, context);
    return {
      words,
      state,
      expectedVolts: expected && { lowest: expected.lowest, highest: expected.highest },
    };
  };
  const guide = (id: SweepGuide['id'], name: string, how: string, steps: GuideStep[]): SweepGuide => ({
    id,
    name,
    how,
    steps,
    cautions: [...new Set(steps.flatMap(({ state }) => cautionsFor(SIGNAL, state, caseFile.family)))],
  });
  const { family, profile, ambient } = caseFile;
  const byHand = MOVED_BY_HAND[family];
  const guides: SweepGuide[] = [];
  if (byHand)
    guides.push(
      guide('slow-travel', 'Slow full travel', byHand, [
        step('At rest', AT_REST),
        step('At the far stop', AT_FAR_STOP),
        step('At rest again', AT_REST),
      ]),
    );
  const down = profile.measures === 'absolute-pressure';
  if (canBePumped(family) && (!down || ambient)) {
    const unit = down ? vacuum : absolute;
    const steps = pumpSteps(profile, ambient?.pressureKpaAbs ?? 0, unit, PUMP_POINTS);
    guides.push(
      guide(
        'pump',
        'Pump in steps',
        'Key on, engine off, hose off the engine and on the pump. Hold each step for about three seconds.',
        steps.map((kpa) =>
          step(
            kpa === 0
              ? 'Pump off'
              : `${Number(fromKpa(Math.abs(kpa), unit).toFixed(3))} ${unit}${down ? ' vacuum' : ''}`,
            pumpState(kpa),
          ),
        ),
      ),
    );
  }
  if (REVVED.includes(family))
    guides.push(
      guide('revs', 'Idle, revs, snap', 'Engine warm and out of gear. Hold each state for a few seconds.', [
        step('Idle', engineAt('idle')),
        step('Revs held', engineAt('held-revs')),
        step('Snap and let go', engineAt('snap-open')),
        step('Idle again', engineAt('idle')),
      ]),
    );
  if (SNAPPED.includes(family))
    guides.push(
      guide(
        'snap',
        'Snap',
        'Key on, engine off. Snap it to the far stop, hold, let it spring back: shows how fast the signal answers.',
        [
          step('At rest', AT_REST),
          step('Snapped to the far stop', AT_FAR_STOP),
          step('Sprung back', AT_REST),
        ],
      ),
    );
  return guides;
}
