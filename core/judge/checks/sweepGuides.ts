import { say, withoutRepeats, type Message } from '../../measure/message/index.ts';
import type { MachineState } from '../../machine/places/index.ts';
import { expectedReading } from '../expectation/index.ts';
import { canBePumped, isPumpedDown, familyOf } from '../../machine/family/index.ts';
import type { PressureUnit } from '../../measure/quantity/index.ts';
import { cautionsFor } from '../cautions/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { pumpState, pumpSteps } from './pumpSweep.ts';

/** One thing to do while a recording runs. */
export interface GuideStep {
  /** Short enough to stand beside its mark in a plot. */
  words: Message;
  state: MachineState;
  /** Of the signal at the plug, where it can be said. */
  expectedVolts: { lowest: number; highest: number } | undefined;
}

/** A way to move a sensor while it is recorded. */
export interface SweepGuide {
  id: 'pump' | 'slow-travel' | 'snap' | 'revs';
  name: Message;
  how: Message;
  steps: GuideStep[];
  cautions: Message[];
}

const SIGNAL = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
const PUMP_POINTS = 6;
const AT_REST: MachineState = { engine: 'koeo', plug: 'connected' };
const AT_FAR_STOP: MachineState = { ...AT_REST, stimulus: { kind: 'full-travel' } };
const engineAt = (engine: MachineState['engine']): MachineState => ({ engine, plug: 'connected' });

/** How a sensor of this job can be moved while it is recorded, the usual way first. */
export function sweepGuides(
  caseFile: CaseFile,
  { vacuum, absolute }: { vacuum: PressureUnit; absolute: PressureUnit },
): SweepGuide[] {
  const context = expectationContext(caseFile);
  const step = (words: Message, state: MachineState): GuideStep => {
    const expected = expectedReading(SIGNAL, state, context);
    return {
      words,
      state,
      expectedVolts: expected && { lowest: expected.lowest, highest: expected.highest },
    };
  };
  const guide = (id: SweepGuide['id'], name: Message, how: Message, steps: GuideStep[]): SweepGuide => ({
    id,
    name,
    how,
    steps,
    cautions: withoutRepeats(steps.flatMap(({ state }) => cautionsFor(SIGNAL, state, caseFile.family))),
  });
  const { family, profile, ambient } = caseFile;
  const { byHand, revved } = familyOf(family);
  const guides: SweepGuide[] = [];
  if (byHand)
    guides.push(
      guide('slow-travel', say('checks.slow-full-travel'), byHand, [
        step(say('checks.at-rest'), AT_REST),
        step(say('checks.far-stop'), AT_FAR_STOP),
        step(say('checks.rest-again'), AT_REST),
      ]),
    );
  const down = isPumpedDown(family, profile.measures);
  if (canBePumped(family) && (profile.measures !== 'absolute-pressure' || ambient)) {
    const unit = down ? vacuum : absolute;
    const steps = pumpSteps(caseFile, ambient?.pressureKpaAbs ?? 0, unit, PUMP_POINTS);
    guides.push(
      guide(
        'pump',
        say('checks.pump-steps'),
        say('checks.key-engine-off-hose-off'),
        steps.map((kpa) =>
          step(
            kpa === 0
              ? say('checks.pump-off')
              : say('checks.pump-step', { pressure: { kpaIn: Math.abs(kpa), unit }, vacuum: down }),
            pumpState(kpa),
          ),
        ),
      ),
    );
  }
  if (revved)
    guides.push(
      guide('revs', say('checks.idle-revs-snap'), say('checks.engine-warm-out-gear-hold'), [
        step(say('checks.idle'), engineAt('idle')),
        step(say('checks.revs-held'), engineAt('held-revs')),
        step(say('checks.snap-let-go'), engineAt('snap-open')),
        step(say('checks.idle-again'), engineAt('idle')),
      ]),
    );
  if (byHand)
    guides.push(
      guide('snap', say('checks.snap'), say('checks.key-engine-off-snap-far'), [
        step(say('checks.at-rest'), AT_REST),
        step(say('checks.snapped-far-stop'), AT_FAR_STOP),
        step(say('checks.sprung-back'), AT_REST),
      ]),
    );
  return guides;
}
