import { repairProof } from '@lettura/core/judge/checks';
import { expect, test } from 'vitest';
import { exampleCase } from '../../../core/judge/checks/exampleCase.ts';
import { IDLE, wire } from '../../../core/judge/weighing/exampleWeighing.ts';
import { proofInWords } from './proofInWords.ts';

const signal = (volts: number, state?: typeof IDLE) => wire('signal', 'plug', volts, state);
type Evidence = ReturnType<typeof wire>;
const said = (before: Evidence[], after: Evidence[]) =>
  proofInWords(repairProof(exampleCase(before), exampleCase(after)));

// 4.00 V at 100 kPa with the engine stopped, 1.4 V idling.
test.each([
  [
    [signal(4.6), wire('reference', 'plug', 5)],
    [signal(4)],
    'Repair proven: the reading that was off is as expected now, as far as the instrument can tell, in the same state. One other was not repeated.',
  ],
  [
    [signal(4.6), signal(2.9, IDLE)],
    [signal(4), signal(1.4, IDLE)],
    'Repair proven: all 2 readings that were off are as expected now, as far as the instrument can tell, in the same state.',
  ],
  [
    [signal(4.6), signal(2.9, IDLE)],
    [signal(4)],
    'Repair not proven yet: of the 2 readings that were off, one has not been shown to be right.',
  ],
  [
    [signal(4.6)],
    [signal(4.61)],
    'Still off: Signal at the sensor plug, key on, engine off. The work has not mended that.',
  ],
  [
    [signal(4.6)],
    [signal(4), signal(2.9, IDLE)],
    'Off now, and not before: Signal at the sensor plug, idle. A second fault, or one made by the work.',
  ],
])('%#: what the readings of before and after prove, in one sentence', (before, after, sentence) => {
  expect(said(before, after)).toBe(sentence);
});

test('where nothing was off, the sentence says what else may prove it', () => {
  expect(said([signal(4)], [signal(4)])).toContain('A recording, a road test');
});

test('three are named, the rest counted', () => {
  const states = ['plug', 'connector', 'unit'] as const;
  const off = states.flatMap((place) => [wire('signal', place, 4.6), wire('signal', place, 2.9, IDLE)]);
  expect(said(off, off)).toMatch(/^Still off: (?:[^;]+; ){2}[^;]+ and 3 more\. /u);
});
