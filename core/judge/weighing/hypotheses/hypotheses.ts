import { say, type Message } from '../../../measure/message/index.ts';
import {
  FAULT_KINDS,
  allSites,
  faultAnywhere,
  siteSaid,
  type Fault,
  type FaultClass,
  type FaultKind,
  type FaultSite,
  type FaultSubject,
} from '../../../machine/fault/index.ts';
import { circumstancesFactor, NOTHING, usualPriors, type StartingWeights } from '../../priors/index.ts';

/** One thing that may be wrong, of unknown size; or nothing. */
export interface Hypothesis {
  /** `nothing`, or the kind and the site of the fault. */
  id: string;
  class: FaultClass | 'nothing';
  title: Message;
  /** Left out for `nothing`. */
  kind?: FaultKind;
  site?: FaultSite;
  /** Of all hypotheses together they sum to one. */
  prior: number;
  /** The same fault in sizes from end to end of its range; one without effect for `nothing`. */
  sizes: readonly (Fault | undefined)[];
}

export { NOTHING };
/** For so many sizes the circuit is solved; between two of them it goes on a line. */
const SIZES = 13;

/** Everything that can be wrong with one sensor, its harness and its unit; each fault of the catalogue at each of its sites. */
export function hypothesesFor(
  subject: FaultSubject,
  priors: Readonly<Record<string, number>> = usualPriors(subject.family),
): Hypothesis[] {
  const found: Hypothesis[] = [
    {
      id: NOTHING,
      class: 'nothing',
      title: say('hypothesis.nothing.title'),
      prior: priors[NOTHING] ?? 1,
      sizes: [undefined],
    },
  ];
  for (const kind of FAULT_KINDS) {
    const sites = allSites(kind, subject);
    for (const site of sites)
      found.push({
        id: `${kind.id} ${site.id}`,
        class: kind.class,
        kind,
        site,
        title: say('hypothesis.title', { kind: kind.name, site: siteSaid(kind.id, site.at) }),
        prior: (priors[kind.id] ?? 1) / sites.length,
        sizes: kind.size
          ? Array.from({ length: SIZES }, (_, i) => faultAnywhere(kind, site, i / (SIZES - 1)))
          : [faultAnywhere(kind, site, 0)],
      });
  }
  return normalised(found);
}

/** The same under the starting weights of a job. */
export function underStartingWeights(
  hypotheses: readonly Hypothesis[],
  usual: Readonly<Record<string, number>>,
  { circumstances, priors }: StartingWeights,
): readonly Hypothesis[] {
  return normalised(
    hypotheses.map((hypothesis) => {
      const kind = hypothesis.kind?.id ?? NOTHING;
      const changed = (priors[kind] ?? usual[kind] ?? 1) / (usual[kind] ?? 1);
      return {
        ...hypothesis,
        prior: hypothesis.prior * changed * circumstancesFactor(circumstances, hypothesis),
      };
    }),
  );
}

function normalised(hypotheses: readonly Hypothesis[]): Hypothesis[] {
  const total = hypotheses.reduce((sum, { prior }) => sum + prior, 0);
  return hypotheses.map((hypothesis) => ({
    ...hypothesis,
    // Who rules out everything rules out nothing.
    prior: total > 0 ? hypothesis.prior / total : 1 / hypotheses.length,
  }));
}
