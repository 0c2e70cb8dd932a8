import { say } from '../../../measure/message/index.ts';
import {
  FAULT_KINDS,
  allSites,
  faultAnywhere,
  siteSaid,
  type FaultSubject,
  type Site,
} from '../../../machine/fault/index.ts';
import type { Hypothesis } from './hypothesis.ts';
import { starvedBeside } from './starved.ts';
import { unlistedBeside } from './unlisted.ts';
import { circumstancesFactor, NOTHING, usualPriors, type StartingWeights } from '../../priors/index.ts';

export { NOTHING };
export type { Hypothesis } from './hypothesis.ts';
/** For so many sizes the circuit is solved; between two of them it goes on a line. */
const SIZES = 13;

/** Everything that can be wrong with one sensor, its harness and its unit; each fault of the catalogue at each of its sites. */
export function hypothesesFor(
  subject: FaultSubject,
  priors: Readonly<Record<string, number>> = usualPriors(subject.family),
): Hypothesis[] {
  const nothing: Hypothesis = {
    id: NOTHING,
    class: 'nothing',
    title: say('hypothesis.nothing.title'),
    prior: priors[NOTHING] ?? 1,
    sizes: [undefined],
  };
  const found: Hypothesis[] = [nothing];
  for (const kind of FAULT_KINDS) {
    const sites = allSites(kind, subject).filter(({ at }) => isFelt(at, subject));
    for (const site of sites)
      found.push({
        id: `${kind.id} ${site.id}`,
        class: kind.class,
        kind,
        site,
        title: say('hypothesis.title', { kind: kind.name, site: siteSaid(kind.id, site.at) }),
        prior: (priors[kind.id] ?? 1) / sites.length,
        sizes:
          (kind.beyond?.size ?? kind.size) && !site.isOneSize
            ? Array.from({ length: SIZES }, (_, i) => faultAnywhere(kind, site, i / (SIZES - 1)))
            : [faultAnywhere(kind, site, 0)],
      });
  }
  const listed = [...found, ...starvedBeside(found, subject.wiring.sensor.kind)];
  return normalised([...listed, ...unlistedBeside(listed)]);
}

/** A sensor that takes nothing from a supply knows nothing of what is wrong with it. */
const isFelt = (at: Site, { wiring: { wires } }: FaultSubject): boolean =>
  (at.in !== 'rail' && at.in !== 'neighbour') ||
  wires.some(({ end }) => end.kind === 'rail' && end.rail === at.rail);

/** The same under the starting weights of a job. */
export function underStartingWeights(
  hypotheses: readonly Hypothesis[],
  usual: Readonly<Record<string, number>>,
  { circumstances, priors }: StartingWeights,
): readonly Hypothesis[] {
  const listed = hypotheses
    .filter(({ unlisted }) => !unlisted)
    .map((hypothesis) => {
      const kind = hypothesis.kind?.id ?? NOTHING;
      const changed = (priors[kind] ?? usual[kind] ?? 1) / (usual[kind] ?? 1);
      return {
        ...hypothesis,
        prior: hypothesis.prior * changed * circumstancesFactor(circumstances, hypothesis),
      };
    });
  return normalised([...listed, ...unlistedBeside(listed)]);
}

function normalised(hypotheses: readonly Hypothesis[]): Hypothesis[] {
  const total = hypotheses.reduce((sum, { prior }) => sum + prior, 0);
  return hypotheses.map((hypothesis) => ({
    ...hypothesis,
    // Who rules out everything rules out nothing.
    prior: total > 0 ? hypothesis.prior / total : 1 / hypotheses.length,
  }));
}
