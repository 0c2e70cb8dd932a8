import { MACHINES, simulatedMachine, surroundingsOf } from '@lettura/bench';
import { isPlain, type AnyEvidence } from '@lettura/core/record/evidence';
import { candidatesFor, weighInStages } from '@lettura/core/judge/weighing';
import { openedCase } from './openedCase.ts';
import { read } from './technician.ts';

export interface WeighingAlone {
  readings: number;
  /** Medians after one more reading, in ms: until the causes are ranked, something to read next is there, and all reasons. */
  rankedMs: number;
  suggestedMs: number;
  reasonsMs: number;
}

const SEED = 3;
/** The first few find nothing worked out yet. */
const WARM_UP = 4;

/** The wires of a sound pedal read one after another, weighed after each, without a browser. */
export function weighingAlone(): WeighingAlone {
  const pedal = MACHINES.find(({ sensor, wiring }) => sensor.family === 'pedal' && wiring.wires.length >= 6)!;
  const half = () => 0.5;
  const one = simulatedMachine(pedal, [], surroundingsOf(pedal, half));
  const wires = pedal.wiring.wires.map(({ wire }) => wire);
  const opened = openedCase(one, []);
  const taken: AnyEvidence[] = [];
  const timed: Record<'ranked' | 'suggested' | 'reasons', number[]> = {
    ranked: [],
    suggested: [],
    reasons: [],
  };
  for (const candidate of candidatesFor(pedal.sensor, wires)) {
    if (candidate.target.kind !== 'wire') continue;
    const reading = read(one, candidate, taken.length + 1, SEED, half);
    if (!reading || !('state' in reading)) continue;
    taken.push(reading);
    const caseFile = { ...opened, readings: taken.filter(isPlain) };
    const start = performance.now();
    let seen: 'ranked' | 'suggested' | undefined;
    for (const weighing of weighInStages(caseFile, wires)) {
      if (!weighing) continue;
      const ms = performance.now() - start;
      if (seen === undefined) timed.ranked.push(ms);
      else if (seen === 'ranked' && weighing.next.length > 0) timed.suggested.push(ms);
      seen = weighing.next.length > 0 ? 'suggested' : 'ranked';
      if (weighing.stage === 'reasons') timed.reasons.push(ms);
    }
  }
  const median = (all: number[]) => {
    const sorted = all.slice(WARM_UP).sort((a, b) => a - b);
    return sorted[Math.floor(sorted.length / 2)] ?? NaN;
  };
  return {
    readings: taken.length - WARM_UP,
    rankedMs: median(timed.ranked),
    suggestedMs: median(timed.suggested),
    reasonsMs: median(timed.reasons),
  };
}
