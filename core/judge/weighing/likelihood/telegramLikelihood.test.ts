import { expect, test } from 'vitest';
import { coded } from '../../../measure/message/coded.ts';
import type { SweepFinding } from '../../../recording/sweep/index.ts';
import { exampleCase } from '../../checks/exampleCase.ts';
import { lineSeen } from '../../checks/index.ts';
import { goodSupply, IDLE, wire, WIRES } from '../exampleWeighing.ts';
import { judge, weigherFor, weighJob } from '../index.ts';

const capture = (kind: SweepFinding['kind'], channel = 0) => ({
  name: 'Fast',
  uses: ['signal', 'reference'] as const,
  findings: [
    {
      kind,
      weight: 'note' as const,
      sentence: { code: 'sweep.the-signal' } as const,
      channel,
      fromSeconds: 0,
      untilSeconds: 0.03,
    },
  ],
});
// A meter sees the average of such a line, which stands whatever the engine does.
const readings = [...goodSupply(), wire('signal', 'plug', 2.6), wire('signal', 'plug', 2.62, IDLE)];
const caseWith = (...sweeps: ReturnType<typeof capture>[]) => exampleCase(readings, { sweeps });
const shareOf = (...sweeps: ReturnType<typeof capture>[]) => {
  const caseFile = caseWith(...sweeps);
  const { ranked } = judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
  return ranked.find(({ decision }) => decision.id === 'wrong-part')!.share;
};

test('telegrams that arrive are no accident: the part is a digital one, and the reason says so', () => {
  expect(shareOf(capture('telegrams'))).toBeGreaterThan(0.9);
  expect(shareOf(capture('telegrams'))).toBeGreaterThan(2 * shareOf());
  const [leader] = weighJob(caseWith(capture('telegrams')), WIRES).causes;
  expect(leader!.cause).toBe('wrong-part');
  expect(leader!.speaksFor.map(({ sentence }) => coded(sentence))).toContain('weighing.telegrams-arrive');
});

test('a line that stands in a capture fast enough for telegrams clears a digital part', () => {
  expect(shareOf(capture('line-held'))).toBeLessThan(shareOf() / 5);
});

test('only what was captured of the signal counts, and one telegram outweighs all that stood', () => {
  expect(lineSeen(caseWith(capture('telegrams', 1)))).toBeUndefined();
  expect(lineSeen(caseWith(capture('travel')))).toBeUndefined();
  expect(lineSeen(caseWith(capture('line-held'), capture('telegrams')))).toBe('telegrams');
});

test('a steady rate speaks for another part, and far less than telegrams do: what runs beside a wire toggles as well', () => {
  const [none, steady, telegrams] = [shareOf(), shareOf(capture('pulses')), shareOf(capture('telegrams'))];
  const odds = (share: number) => share / (1 - share);
  expect(odds(steady)).toBeGreaterThan(2 * odds(none));
  expect(odds(telegrams)).toBeGreaterThan(5 * odds(steady));
});
