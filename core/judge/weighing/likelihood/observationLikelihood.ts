import { isInPlug } from '../../../machine/fault/index.ts';
import { isCodeLook, type ObservationMade, type PlainLookId } from '../../../record/observation/index.ts';
import type { Hypothesis } from '../hypotheses/hypotheses.ts';
import { TOLERANCES, type WeighedReading } from '../hypotheses/weighedCase.ts';
import type { SizedHypothesis } from '../hypotheses/sizedHypotheses.ts';

export const LOOKED_DRIVE = 'looked';

/** How often a look shows a fault that is there, and one that is not; our own starting values. */
interface Sharpness {
  /** By hypothesis: whether it is what the look is for. */
  isOf(hypothesis: Hypothesis): boolean;
  found: number;
  imagined: number;
}

const kind =
  (id: string) =>
  (hypothesis: Hypothesis): boolean =>
    hypothesis.kind?.id === id;

/** Codes follow from the circuit; all else is looked at. */
const SHARPNESS: Record<PlainLookId, Sharpness> = {
  'plug-contacts': {
    isOf: ({ kind: of, site }) => of?.class === 'wire' && site !== undefined && isInPlug(site.at),
    found: 0.85,
    imagined: 0.05,
  },
  hose: { isOf: kind('hose'), found: 0.88, imagined: 0.03 },
  // A blocked hose holds as well as a sound one.
  'hose-holds': { isOf: kind('hose'), found: 0.6, imagined: 0.02 },
  'hose-routing': { isOf: kind('hoses-swapped'), found: 0.95, imagined: 0.02 },
  arm: { isOf: kind('linkage'), found: 0.93, imagined: 0.03 },
  // A gap or a split is seen, or the body gives way under the hand: hardly ever imagined.
  duct: { isOf: kind('unmetered-air'), found: 0.88, imagined: 0.015 },
  // Dirt that counts is mostly seen; an old element reads low without any.
  element: { isOf: kind('sensor-gain'), found: 0.6, imagined: 0.05 },
  stumbles: { isOf: kind('restricted-passages'), found: 0.92, imagined: 0.06 },
  // Either of them, or soot: each look finds its own part of what keeps the gas back.
  'valve-holds': { isOf: kind('restricted-passages'), found: 0.35, imagined: 0.03 },
  solenoid: { isOf: kind('restricted-passages'), found: 0.25, imagined: 0.03 },
  'code-fed': { isOf: kind('digital-part'), found: 0.9, imagined: 0.02 },
  'part-number': { isOf: ({ class: sort }) => sort === 'wrong-part', found: 0.95, imagined: 0.01 },
};

/** How likely an answer is for one thing that may be wrong. */
export function observationLikelihood(id: PlainLookId, holds: boolean, hypothesis: Hypothesis): number {
  const { isOf, found, imagined } = SHARPNESS[id];
  const wrong = isOf(hypothesis) ? found : imagined;
  return holds ? 1 - wrong : wrong;
}

/** Whether a look found what a hypothesis would show. */
export const wasSeen = ({ observation, holds }: ObservationMade, hypothesis: Hypothesis): boolean =>
  !holds && !isCodeLook(observation) && SHARPNESS[observation].isOf(hypothesis);

/** A look as a reading: it is of no quantity. */
export function observationReading(
  { id, observation, holds }: ObservationMade<PlainLookId>,
  hypotheses: readonly Hypothesis[],
  sized: readonly SizedHypothesis[],
): WeighedReading {
  const { found, imagined } = SHARPNESS[observation];
  const list = (wrong: number) => new Float64Array(TOLERANCES.length).fill(holds ? 1 - wrong : wrong);
  return {
    id,
    drive: LOOKED_DRIVE,
    lists: [list(imagined), list(found)],
    listOf: Int32Array.from(sized, ({ hypothesis }) =>
      SHARPNESS[observation].isOf(hypotheses[hypothesis]!) ? 1 : 0,
    ),
    floor: 0,
  };
}
