import { expect, test } from 'vitest';
import { parsePoints } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

test('points are read with any common column mark and decimal sign', () => {
  const text = '# pump sweep\n20 0,5\n60,0;1,95\n\n100\t3,30\r\n110 | 3,7';
  expect(parsePoints(text, 'absolute-pressure', 'kPa')).toEqual({
    ok: true,
    value: [
      { value: 20, volts: 0.5 },
      { value: 60, volts: 1.95 },
      { value: 100, volts: 3.3 },
      { value: 110, volts: 3.7 },
    ],
  });
});

test('the pressure column has the unit that was chosen', () => {
  const read = coded(parsePoints('29.53 3.0', 'absolute-pressure', 'inHg'));
  expect(read.ok && read.value[0]?.value).toBeCloseTo(100, 1); // 29.53 · 3.386389
});

test.each([
  ['20 0.5\n60', 2, '60'],
  ['20 0.5 9', 1, '20 0.5 9'],
  ['20 0.5\n\nsixty 1.9', 3, 'sixty 1.9'],
  ['20 1e9', 1, '20 1e9'],
  ['<b>20</b> 1', 1, '<b>20</b> 1'],
])('“%s” is refused at line %d', (text, line, told) => {
  const read = coded(parsePoints(text, 'absolute-pressure', 'kPa'));
  expect(read).toMatchObject({ ok: false, problem: { code: 'bad-line' } });
  expect(!read.ok && read.problem.message).toContain(
    `entry.line-not-voltage{line: ${line}, text: “${told}”, isOfPressure: true, second: volts}`,
  );
});

test('a file dumped into the field is refused before it stalls anything', () => {
  expect(coded(parsePoints('1 1\n'.repeat(20_000), 'absolute-pressure', 'kPa'))).toMatchObject({
    ok: false,
    problem: { code: 'too-many-points' },
  });
});

test('decimal comma and point in one list are not guessed at', () => {
  const read = coded(parsePoints('20 0.5\n60 1,95', 'absolute-pressure', 'kPa'));
  expect(read).toMatchObject({ ok: false, problem: { code: 'mixed-decimals' } });
  expect(!read.ok && read.problem.message).toContain(
    'entry.line-where-line{line: 2, sign: entry.decimal-comma, firstLine: 1, firstSign: entry.decimal-point}',
  );
});

test('a flow column has its own unit, whatever pressures are shown in', () => {
  expect(parsePoints('5.6 1.6', 'air-flow', 'psi')).toMatchObject({
    value: [{ value: 5.6, volts: 1.6 }],
  });
});

test('steps stand where volts do, and a line that has none is told as that', () => {
  expect(parsePoints('0 193\n180 3896', 'gauge-pressure', 'MPa', 'steps')).toMatchObject({
    ok: true,
    value: [
      { value: 0, volts: 193 },
      { value: 180_000, volts: 3896 },
    ],
  });
  const refused = parsePoints('0 one', 'gauge-pressure', 'MPa', 'steps');
  if (refused.ok) throw new Error('A word is no step.');
  expect(coded(refused.problem.message)).toContain('second: steps');
});
