import { expect, test } from 'vitest';
import type { AnyEvidence } from '../../../record/evidence/index.ts';
import type { Lane } from '../../../machine/places/index.ts';
import { exampleCase, THROTTLE_PROFILE } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { codeId, codesThatTell, comesBack, reasonFor } from './codeEvidence.ts';
import { goodSupply, IDLE, looked, wire, WIRES } from '../exampleWeighing.ts';
import { judge, weigherFor, weighJob } from '../index.ts';
import { coded } from '../../../measure/message/coded.ts';

const sharesOf = (over: Partial<CaseFile>, readings: AnyEvidence[] = [], wires: readonly Lane[] = WIRES) => {
  const caseFile = exampleCase(readings as CaseFile['readings'][number][], over);
  const { ranked, suggestions } = judge(weigherFor(caseFile, wires), caseFile, wires);
  return {
    suggestions,
    of: (...starts: string[]) =>
      ranked
        .filter(({ decision }) => starts.some((start) => decision.id.startsWith(start)))
        .reduce((sum, { share }) => sum + share, 0),
  };
};
// What pulls this signal, held down by the unit, below its limit.
const LOW = ['wire signal', 'wire-to-ground signal', 'wire reference'];

test('a stored code shifts the weights to what the unit can have seen, and leaves “nothing now” its share', () => {
  const before = sharesOf({});
  const low = sharesOf({ codes: ['P0107'] });
  expect(low.of(...LOW)).toBeGreaterThan(1.3 * before.of(...LOW));
  expect(low.of('wire-to-battery signal', 'wires-together reference+signal')).toBeLessThan(
    before.of('wire-to-battery signal', 'wires-together reference+signal'),
  );
  expect(low.of('nothing')).toBeGreaterThan(0.01);
  const high = sharesOf({ codes: ['P0108'] });
  expect(high.of('wires-together reference+signal', 'wire return')).toBeGreaterThan(
    2 * before.of('wires-together reference+signal', 'wire return'),
  );
});

test('codes of other circuits say nothing, and a code noted twice counts once', () => {
  const before = sharesOf({});
  const other = sharesOf({ codes: ['P0300', 'P2122'] });
  expect(other.of('sensor')).toBeCloseTo(before.of('sensor'), 12);
  expect(sharesOf({ codes: ['P0107', 'P0107'] }).of('sensor')).toBeCloseTo(
    sharesOf({ codes: ['P0107'] }).of('sensor'),
    12,
  );
  expect(codesThatTell(exampleCase([], { codes: ['P0113'] }), WIRES)).toEqual([]);
});

test('a code that stays away once cleared speaks against all that would bring it back', () => {
  const stored = { codes: ['P0107'] };
  const away = sharesOf({ ...stored, observations: [looked('code-low', true)] });
  const back = sharesOf({ ...stored, observations: [looked('code-low', false)] });
  expect(away.of('nothing')).toBeGreaterThan(2 * sharesOf(stored).of('nothing'));
  expect(back.of('nothing')).toBeLessThan(0.02);
  expect(back.of(...LOW)).toBeGreaterThan(1.5 * away.of(...LOW));
});

test('the code of the supply tells a dead rail from a broken wire', () => {
  const dead = [wire('reference', 'plug', 0.02), wire('signal', 'plug', 0.02)];
  const said = (holds: boolean) => sharesOf({ observations: [looked('code-supply', holds)] }, dead);
  expect(said(true).of('wire reference', 'two-wires-open')).toBeGreaterThan(0.6);
  expect(said(false).of('wire reference')).toBeLessThan(0.15);
  expect(
    said(false).of('unit-gives-no-reference', 'rail-pulled-down', 'wire-to-ground reference'),
  ).toBeGreaterThan(0.6);
});

test('the code of a pair: the tracks are apart, whatever each says by itself', () => {
  const pair = {
    family: 'throttle',
    profile: THROTTLE_PROFILE,
    companion: { kind: 'second-track', pair: { law: 'mirrored' }, separateFeeds: false },
    codes: ['P2135'],
  } as const;
  const wires = [...WIRES, 'second-signal'] as const;
  expect(sharesOf(pair, [], wires).of('nothing', 'linkage')).toBeLessThan(
    0.6 * sharesOf({ ...pair, codes: [] }, [], wires).of('nothing', 'linkage'),
  );
});

test('a voltage that stays, and another code once one is fed in: a digital part (common practice)', () => {
  const stays = [...goodSupply(), wire('signal', 'plug', 2.4), wire('signal', 'plug', 2.41, IDLE)];
  const before = sharesOf({}, stays);
  const fed = sharesOf({ observations: [looked('code-fed', false)] }, stays);
  const not = sharesOf({ observations: [looked('code-fed', true)] }, stays);
  expect(fed.of('wrong-part')).toBeGreaterThan(0.8);
  expect(not.of('wrong-part')).toBeLessThan(0.6 * before.of('wrong-part'));
  expect(not.of('sensor')).toBeGreaterThan(0.8);
});

test('a code is told among the reasons, and can be struck out to see what it does', () => {
  const caseFile = exampleCase([wire('signal', 'plug', 0.02)] as CaseFile['readings'][number][], {
    codes: ['P0107'],
  });
  const { causes } = coded(weighJob(caseFile, WIRES));
  const sentences = causes.flatMap(({ speaksFor, speaksAgainst }) => [...speaksFor, ...speaksAgainst]);
  expect(sentences.find(({ readingId }) => readingId === 'code:P0107')?.sentence).toBe(
    'weighing.code-stored{code: “P0107”, complaint: codes.low{about: codes.signal}}',
  );
  const shareOf = (without: string[]) =>
    coded(weighJob(caseFile, WIRES, { without, reaches: {} })).causes[0]!.share;
  expect(shareOf([codeId('P0107')])).not.toBeCloseTo(shareOf([]), 3);
});

test('near a limit nobody knows; far from it everybody does', () => {
  const reason = reasonFor({ about: 'signal', reads: 'low' }, exampleCase([]));
  const limit = exampleCase([]).profile.circuitLowVolts;
  expect([reason(limit - 0.5, 0), reason(limit + 0.5, 0)]).toEqual([1, 0]);
  expect(reason(limit + 0.01, 0)).toBeCloseTo(0.25, 12);
  expect(reason(limit - 0.01, 0)).toBeCloseTo(0.75, 12);
  // The other limit is no matter of this code.
  expect(reason(5, 0.1)).toBe(0);
  expect(comesBack(1)).toBeGreaterThan(0.9);
  expect(comesBack(0)).toBeLessThan(0.05);
});
