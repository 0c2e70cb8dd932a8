import { say } from '../../../measure/message/index.ts';
import type { Hypothesis } from './hypothesis.ts';
import type { SizedHypothesis } from './sizedHypotheses.ts';

/*
 * What is on no list. A sensor may have any curve: in each state of the machine it is sound, or shows anything at all, the same to
 * whoever reads it there. Wires and unit may be any network: each reading is as it should be, or anything. Neither foretells much,
 * so that they lead only where nothing on the list explains what was read.
 */

/** As often as this, beside a sensor that is stuck, a sensor has a fault that is not on the list. */
const SENSOR_SHARE = 0.25;
/** The same of wires and unit, beside all of their faults together. */
const CIRCUIT_SHARE = 0.03;
/** So often such a sensor, in one state of the machine, shows what a sound one would. */
export const SOUND_IN_A_STATE = 0.4;
/** How far a reading lies off, one standard deviation, where anything may be wrong. */
export const UNLISTED_VOLTS = 2.5;

export const UNLISTED_SENSOR = say('hypothesis.unlisted-sensor.title');
export const UNLISTED_CIRCUIT = say('hypothesis.unlisted-circuit.title');

/** Beside what is listed: a sensor of any curve for each of its signals, and a circuit of any kind. */
export function unlistedBeside(listed: readonly Hypothesis[]): Hypothesis[] {
  const sensors = listed.flatMap(({ id, kind, site, prior, class: sort }, like): Hypothesis[] =>
    kind?.id === 'sensor-stuck' && site
      ? [
          {
            id: `unlisted:${id}`,
            class: sort,
            title: UNLISTED_SENSOR,
            site,
            prior: SENSOR_SHARE * prior,
            sizes: [],
            like,
            unlisted: 'sensor',
          },
        ]
      : [],
  );
  const inCircuit = listed.filter(({ class: sort }) => sort === 'wire' || sort === 'control-unit');
  return [
    ...sensors,
    {
      id: 'unlisted-circuit',
      class: 'unlisted',
      title: UNLISTED_CIRCUIT,
      prior: CIRCUIT_SHARE * inCircuit.reduce((sum, { prior }) => sum + prior, 0),
      sizes: [],
      unlisted: 'circuit',
    },
  ];
}

/** One thing that may be of another size in every state of the machine. */
export interface Changing {
  /** Which of the sized hypotheses, on one bias of the input. */
  members: Int32Array;
  /** By member: how often it has that size, in one state; they sum to one. */
  often: Float64Array;
  /** Of the hypothesis: its weight on this bias. */
  weight: number;
}

/** Of all sized hypotheses those that are taken anew in every state. */
export function changingAmong(
  hypotheses: readonly Hypothesis[],
  sized: readonly SizedHypothesis[],
): Changing[] {
  const groups = new Map<string, number[]>();
  sized.forEach(({ hypothesis, sound }, s) => {
    if (hypotheses[hypothesis]!.unlisted !== 'sensor') return;
    const key = `${hypothesis} ${sound}`;
    groups.set(key, [...(groups.get(key) ?? []), s]);
  });
  return [...groups.values()].map((members) => {
    const weight = members.reduce((sum, s) => sum + sized[s]!.weight, 0);
    return {
      members: Int32Array.from(members),
      often: Float64Array.from(members, (s) => sized[s]!.weight / weight),
      weight,
    };
  });
}
