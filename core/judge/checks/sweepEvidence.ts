import { say } from '../../measure/message/index.ts';
import { LINE_FINDINGS, type ChannelUse, type SweepFinding } from '../../recording/sweep/index.ts';
import type { CaseFile, SweepOnRecord } from './caseFile.ts';
import type { Remark } from './finding.ts';
import { ofTrack, namesOf, placed } from './trackInSweep.ts';

/**
 * What the recordings show to be wrong, all of them together: a newer one does not take the place of a better one. A fault that
 * keeps its place is in the track, which alone knows where it stands; one that turns up anywhere is in a contact or a wire,
 * which does not. Only a recording whose signal is plausible volts is evidence.
 */
export function sweepFaults(caseFile: Pick<CaseFile, 'sweeps' | 'profile'>): Remark[] {
  const telling = caseFile.sweeps.filter(speaksOfSensor);
  const faults = telling.flatMap((sweep) =>
    sweep.findings.filter(({ weight }) => weight === 'fault').map((fault) => ({ fault, sweep })),
  );
  const tracks = (['signal', 'second-signal'] as const).flatMap((use) =>
    (['dropout', 'pair'] as const).flatMap((kind) => {
      const own = faults.filter(({ fault, sweep }) => fault.kind === kind && useOf(fault, sweep) === use);
      const since = telling
        .slice(1 + telling.findLastIndex((sweep) => own.some((one) => one.sweep === sweep)))
        .filter((sweep) => sweep.uses.includes(use) && speaksOfTravel(sweep));
      return ofTrack(
        own.map(({ fault }) => fault),
        use,
        own.map(({ sweep }) => sweep),
        caseFile,
      ).map((sentence) =>
        since.length === 0
          ? sentence
          : say('checks.recorded-since-nothing', {
              sentence,
              names: namesOf(since),
              count: since.length,
            }),
      );
    }),
  );
  const others = faults
    .filter(({ fault }) => !placed(fault))
    .map(({ fault, sweep }) =>
      say('checks.recorded-in', { names: namesOf([sweep]), sentence: fault.sentence }),
    );
  return [...tracks, ...others].map((sentence) => ({ sentence, readingIds: [] }));
}

/** Some channel of it is the signal, and could be read as volts. */
const speaksOfSensor = ({ uses, findings }: SweepOnRecord): boolean =>
  uses.includes('signal') && !findings.some(({ kind }) => kind === 'not-looked');

/** Nothing was moved, or the line is none whose voltage would say where the sensor stands. */
const NO_TRAVEL: readonly SweepFinding['kind'][] = ['still', ...LINE_FINDINGS];

/** It would have shown a place of the travel that is worn. */
export const speaksOfTravel = (sweep: SweepOnRecord): boolean =>
  speaksOfSensor(sweep) && !sweep.findings.some(({ kind }) => NO_TRAVEL.includes(kind));

const useOf = ({ kind, channel }: SweepFinding, { uses }: SweepOnRecord): ChannelUse =>
  kind === 'pair' ? 'second-signal' : uses[channel] === 'second-signal' ? 'second-signal' : 'signal';
