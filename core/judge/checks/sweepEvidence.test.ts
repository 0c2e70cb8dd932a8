import { expect, test } from 'vitest';
import type { SweepFinding } from '../../recording/sweep/index.ts';
import { EXAMPLE_PROFILE, exampleCase } from './exampleCase.ts';
import { disagreements } from './disagreements.ts';
import type { SweepOnRecord } from './caseFile.ts';
import { sweepFaults } from './sweepEvidence.ts';
import { verbatim } from '../../measure/message/index.ts';
import { coded } from '../../measure/message/coded.ts';

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
const RECORDED = /checks\.recorded-in\{names: \[sweep\.named\{name: “Slow travel”\}\], sentence: (.*?\})\}/u;
const said = (findings: SweepFinding[], more: SweepOnRecord[] = []) =>
  coded(
    sweepFaults(
      exampleCase([], {
        profile: pedal,
        sweeps: [{ name: 'Slow travel', uses: ['signal', 'second-signal'], findings }, ...more],
      }),
    ),
  ).map(({ sentence }) => sentence.replace(RECORDED, '$1'));

test('a fault that keeps its place is the track, one that turns up anywhere is a contact or a wire', () => {
  expect(said([dropout(41), dropout(42.5)])[0]).toBe(
    'checks.each-times-passes-worn-there{track: sweep.track{number: 2}, parts: false, at: 41.75 position, times: 2}',
  );
  expect(said([dropout(12), dropout(80), dropout(44)])[0]).toBe(
    'checks.times-anywhere-between-loose-contact{track: sweep.track{number: 2}, parts: false, times: 3, from: 12 position, to: 80 position}',
  );
  expect(said([dropout(41)])[0]).toBe(
    'checks.once-only-record-again-same{sentence: say.as-it-is{text: “Track 2 drops out at 41.0 %.”}}',
  );
  expect(said([dropout(40), dropout(48)])[0]).toBe(
    'checks.times-near-record-again-slower{track: sweep.track{number: 2}, parts: false, times: 2, at: 44 position}',
  );
  expect(said([dropout(62, { kind: 'pair' }), dropout(62, { kind: 'pair' })])[0]).toBe(
    'checks.each-times-passes-worn-there{track: sweep.track{number: 2}, parts: true, at: 62 position, times: 2}',
  );
});

test('other faults are told as they were found; notes are none, and a clean newer recording is told beside them, and does not take their place', () => {
  const sagged = { code: 'say.as-it-is', values: { text: verbatim('The reference does not hold: 4.60 V.') } };
  const sag = dropout(0, { kind: 'reference', sentence: sagged });
  expect(said([sag])).toEqual(['say.as-it-is{text: “The reference does not hold: 4.60 V.”}']);
  expect(said([dropout(41, { weight: 'note' })])).toEqual([]);
  const after: SweepOnRecord = { name: 'After', uses: ['signal'], findings: [] };
  expect(said([dropout(41), dropout(41)], [{ ...after, uses: ['signal', 'second-signal'] }])[0]).toBe(
    'checks.recorded-since-nothing{sentence: checks.each-times-passes-worn-there{track: sweep.track{number: 2}, parts: false, at: 41 position, times: 2}, names: [sweep.named{name: “After”}], count: 1}',
  );
  // One in which nothing was moved, or a line of telegrams, would have shown nothing of it anyway.
  for (const kind of ['still', 'line-held', 'telegrams'] as const) {
    const other = {
      ...after,
      uses: ['signal', 'second-signal'] as const,
      findings: [dropout(0, { kind, weight: 'note' })],
    };
    expect(said([dropout(41), dropout(41)], [other])[0]).not.toContain('checks.recorded-since-nothing');
  }
});

test('a fault in a recording stands among what is shown to be wrong', () => {
  const sweeps = [
    { name: 'Slow travel', uses: ['signal'], findings: [dropout(41, { channel: 0 })] },
  ] as const;
  expect(disagreements(exampleCase([], { profile: pedal, family: 'pedal', sweeps }))).toHaveLength(1);
});
