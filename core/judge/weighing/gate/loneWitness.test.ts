import { expect, test } from 'vitest';
import { exampleCase } from '../../checks/exampleCase.ts';
import type { CaseFile } from '../../checks/index.ts';
import { goodSupply, IDLE, looked, wire, WIRES } from '../exampleWeighing.ts';
import { judge, missingProof, weigherFor, weighJob } from '../index.ts';
import { coded } from '../../../measure/message/coded.ts';

type Readings = CaseFile['readings'][number][];
// A supply lost in the plug’s own contacts may leave the output standing anywhere: they were looked at.
const LOOKS = ['part-number', 'hose', 'plug-contacts', 'code-fed'] as const;
const part = { observations: LOOKS.map((look) => looked(look, true)) };
const judged = (readings: Readings) => {
  const caseFile = exampleCase(readings, part);
  return judge(weigherFor(caseFile, WIRES), caseFile, WIRES);
};
const missing = (readings: Readings) =>
  judged(readings)
    .gate.filter(({ state }) => state !== 'proven')
    .map(({ label }) => coded(label));

// At idle it may be right; at rest it is not, says one reading.
const stuck = [...goodSupply(), wire('signal', 'plug', 2.2), wire('signal', 'plug', 2.2, IDLE)];

const AGAIN = 'gate.read-again{target: target.wire{lane: lane.signal, place: place.plug}}';

test('what would condemn a sensor alone is read a second time, and asked for first', () => {
  const { ranked, verdict, suggestions } = judged(stuck);
  expect(ranked[0]!.decision.id).toBe('sensor');
  expect(verdict).toBe('open');
  expect(missing(stuck)).toEqual([AGAIN]);
  expect(suggestions[0]!.candidate).toMatchObject({
    target: { kind: 'wire', lane: 'signal', place: 'plug' },
    state: { engine: 'koeo', plug: 'connected' },
  });
  expect(coded(missingProof('sensor', exampleCase(stuck, part), WIRES))).toContain(AGAIN);
  const { next, verdict: said } = weighJob(exampleCase(stuck, part), WIRES);
  expect(said.decided).toBe(false);
  expect(coded(next[0]!.why)).toBe(`weighing.before-part-named{item: ${AGAIN}}`);
});

test('read twice it stands; read otherwise the second time, neither does', () => {
  const again = [...stuck, wire('signal', 'plug', 2.2)];
  expect(missing(again)).toEqual([]);
  expect(judged(again).classes[0]).toMatchObject({ class: 'sensor' });
  const otherwise = judged([...stuck, wire('signal', 'plug', 4.04)]);
  expect(otherwise.classes.find((one) => one.class === 'sensor')!.share).toBeLessThan(0.5);
});

test('two readings that say the same from two sides need no third', () => {
  const readings = [
    ...goodSupply(),
    wire('signal', 'plug', 4.4),
    wire('signal', 'unit', 4.4),
    wire('signal', 'plug', 2.1, IDLE),
    wire('signal', 'unit', 2.1, IDLE),
  ];
  expect(missing(readings).join()).not.toContain('gate.read-again');
});
