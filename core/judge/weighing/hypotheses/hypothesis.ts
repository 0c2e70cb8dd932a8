import type { Message } from '../../../measure/message/index.ts';
import type { CauseClass } from '../../priors/index.ts';
import type { Fault, FaultKind, FaultSite } from '../../../machine/fault/index.ts';

/** One thing that may be wrong, of unknown size; or nothing. */
export interface Hypothesis {
  /** `nothing`, or the kind and the site of the fault. */
  id: string;
  class: CauseClass;
  title: Message;
  /** Left out for `nothing`, and for what is not listed. */
  kind?: FaultKind;
  site?: FaultSite;
  /** Of all hypotheses together they sum to one. */
  prior: number;
  /** The same fault in sizes from end to end of its range; one without effect for `nothing`. */
  sizes: readonly (Fault | undefined)[];
  /** Number of the hypothesis whose sizes it takes, where it shows what that one would. */
  like?: number;
  /** On no list: a sensor that takes a size anew in every state of the machine, or a circuit in which anything may be. */
  unlisted?: 'sensor' | 'circuit';
}
