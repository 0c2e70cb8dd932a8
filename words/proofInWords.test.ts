import { followedUp, repairEnd, repairProof, type AfterRepair } from '@lettura/core/judge/checks';
import { expect, test } from 'vitest';
import { exampleCase } from '../core/judge/checks/exampleCase.ts';
import { IDLE, wire } from '../core/judge/weighing/exampleWeighing.ts';
import { ENGLISH } from './reader.ts';
import { proofSaid } from './proofInWords.ts';
import { recordWords } from './record.ts';
import { wordsFor } from './words.ts';

const signal = (volts: number, state?: typeof IDLE) => wire('signal', 'plug', volts, state);
type Evidence = ReturnType<typeof wire>;
function said(before: Evidence[], after: Evidence[], since: AfterRepair[] = []) {
  const proof = repairProof(exampleCase(before), exampleCase(after));
  const end = repairEnd(proof.outcome, followedUp(['P0106'], since));
  return wordsFor(ENGLISH).say(
    proofSaid({ ...proof, end }, recordWords('en', { absolute: 'kPa', vacuum: 'inHg' })),
  );
}

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

const back: AfterRepair[] = ['codes-cleared', { what: 'codes', codes: ['P0106'] }];
test.each([
  [
    [signal(4.6)],
    [signal(4)],
    back,
    '1 of the one reading that was off has come right, but the codes or the road',
  ],
  [[signal(4)], [signal(4)], back, 'nothing that was read was off, but the codes or the road'],
  // What is still off on the wire is said first.
  [[signal(4.6)], [signal(4.6)], back, 'Still off: Signal at the sensor plug'],
  [[signal(4)], [signal(4)], [{ what: 'road-test', complaint: 'gone' } as const], 'codes or road speak for'],
])('%#: a code or a complaint that is back leaves no repair proven', (before, after, since, sentence) => {
  expect(said(before, after, since)).toContain(sentence);
  expect(said(before, after, since)).not.toContain('Repair proven');
});

test('three are named, the rest counted', () => {
  const states = ['plug', 'connector', 'unit'] as const;
  const off = states.flatMap((place) => [wire('signal', place, 4.6), wire('signal', place, 2.9, IDLE)]);
  expect(said(off, off)).toMatch(/^Still off: (?:[^;]+; ){2}[^;]+ and 3 more\. /u);
});
