import { latestWire, type MachineState, type Target } from '../evidence/index.ts';
import { cautionsFor } from '../safety/index.ts';
import type { CaseFile } from './caseFile.ts';
import { causeOf, type CauseId } from './causes.ts';
import type { NextReading } from './suggestion.ts';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };

/** A proven open wire is halved at the inline connector: one more reading says on which side of it to look. */
export function locateBreak(cause: CauseId, { readings }: CaseFile): NextReading | undefined {
  const { lane, title } = causeOf(cause);
  if (!lane || latestWire(readings, lane, 'connector', ({ plug }) => plug === 'connected')) return undefined;
  const towardsUnit = 'look between control unit and connector';
  const towardsPlug = 'look between connector and plug';
  // The signal comes from the sensor, reference and return from the unit: good arrives from the other side.
  const [good, bad] = lane === 'signal' ? [towardsUnit, towardsPlug] : [towardsPlug, towardsUnit];
  const target: Target = { kind: 'wire', lane, place: 'connector' };
  return {
    target,
    state: KOEO,
    question: `On which side of the inline connector is the ${lane} lost?`,
    why: `“${title}” is proven. This finds the place.`,
    how: 'Back-probe the inline connector with everything plugged in. Then look where the loom bends, gets hot or rubs.',
    cautions: cautionsFor(target, KOEO),
    minutes: 3,
    answers: [
      { outcome: `${lane} good there`, then: good },
      { outcome: `${lane} bad there`, then: bad },
    ],
  };
}
