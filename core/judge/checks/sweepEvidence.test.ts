import { inWords } from '@lettura/words';
import { expect, test } from 'vitest';
import type { SweepFinding } from '../../recording/sweep/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from './exampleCase.ts';
import { disagreements } from './disagreements.ts';
import type { SweepOnRecord } from './caseFile.ts';
import { sweepFaults } from './sweepEvidence.ts';
import { verbatim } from '../../measure/message/index.ts';

const dropout = (position: number, over: Partial<SweepFinding> = {}): SweepFinding => ({
  kind: 'dropout',
  weight: 'fault',
  sentence: {
    code: 'say.as-it-is',
    values: { text: verbatim(`Track 2 drops out at ${position.toFixed(1)} %.`) },
  },
  channel: 1,
  fromSeconds: 3,
  untilSeconds: 3.1,
  position,
  ...over,
});
const pedal = { ...EXAMPLE_PROFILE, measures: 'position', lowest: 0, highest: 100 } as const;
const said = (findings: SweepFinding[], more: SweepOnRecord[] = []) =>
  inWords(
    sweepFaults(
      exampleCase([], {
        profile: pedal,
        sweeps: [{ name: 'Slow travel', uses: ['signal', 'second-signal'], findings }, ...more],
      }),
    ),
  ).map(({ sentence }) => sentence.replace('Recorded in “Slow travel”: ', ''));

test('a fault that keeps its place is the track, one that turns up anywhere is a contact or a wire', () => {
  expect(said([dropout(41), dropout(42.5)])[0]).toMatch(
    /^Track 2 drops out at 41\.8 % each of the 2 times that it passes: worn there/u,
  );
  expect(said([dropout(12), dropout(80), dropout(44)])[0]).toMatch(
    /^Track 2 drops out 3 times, anywhere between 12\.0 % and 80\.0 %: a loose contact or wire/u,
  );
  expect(said([dropout(41)])[0]).toMatch(/^Track 2 drops out at 41\.0 %\. Once only: record it again/u);
  expect(said([dropout(40), dropout(48)])[0]).toMatch(/near 44\.0 %: record it again, slower/u);
  expect(said([dropout(62, { kind: 'pair' }), dropout(62, { kind: 'pair' })])[0]).toMatch(
    /^Track 2 parts from its pair at 62\.0 %/u,
  );
});

test('other faults are told as they were found; notes are none, and a clean newer recording is told beside them, and does not take their place', () => {
  const sagged = { code: 'say.as-it-is', values: { text: verbatim('The reference does not hold: 4.60 V.') } };
  const sag = dropout(0, { kind: 'reference', sentence: sagged });
  expect(said([sag])).toEqual(['The reference does not hold: 4.60 V.']);
  expect(said([dropout(41, { weight: 'note' })])).toEqual([]);
  const after: SweepOnRecord = { name: 'After', uses: ['signal'], findings: [] };
  expect(said([dropout(41), dropout(41)], [{ ...after, uses: ['signal', 'second-signal'] }])[0]).toMatch(
    /Track 2 drops out at 41\.0 % each of the 2 times.* Recorded since, “After” shows nothing of it\.$/u,
  );
  // One in which nothing was moved, or a line of telegrams, would have shown nothing of it anyway.
  for (const kind of ['still', 'line-held', 'telegrams'] as const) {
    const other = {
      ...after,
      uses: ['signal', 'second-signal'] as const,
      findings: [dropout(0, { kind, weight: 'note' })],
    };
    expect(said([dropout(41), dropout(41)], [other])[0]).not.toContain('Recorded since');
  }
});

test('a fault in a recording stands among what is shown to be wrong', () => {
  const sweeps = [
    { name: 'Slow travel', uses: ['signal'], findings: [dropout(41, { channel: 0 })] },
  ] as const;
  expect(disagreements(exampleCase([], { profile: pedal, family: 'pedal', sweeps }))).toHaveLength(1);
});
