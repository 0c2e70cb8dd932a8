// node --import tsx scripts/bench/diagnosisReport.ts 154 chosen: the whole diagnosis benchmark, with its tables for docs/weighing.md.
import { setImmediate } from 'node:timers/promises';
import { eachWorkedCase } from './diagnosis.ts';
import type { Order } from './workThrough.ts';
import type { WorkedCase } from './patient.ts';
import { diagnosisFigures, figuresBy, figuresInWords } from './diagnosisFigures.ts';

const [casesAMachine = '10', order = 'chosen', seed = '1'] = process.argv.slice(2);
const cases: WorkedCase[] = [];
let stopped = false;
// A long run that is stopped reports what it has done.
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.once(signal, () => (stopped = true));
for (const worked of eachWorkedCase(Number(casesAMachine), order as Order, Number(seed))) {
  cases.push(worked);
  await setImmediate();
  if (stopped) break;
}
const figures = diagnosisFigures(cases);
console.log(figuresInWords(order, figures));
console.log(
  `\n| stated | right | cases |\n|---|---|---|\n${figures.reliability.map(({ share, right, count }) => `| ${share.toFixed(2)} | ${right.toFixed(2)} | ${count} |`).join('\n')}`,
);
console.log(`\n${figuresBy(cases, ({ family }) => family)}`);
console.log(`\n${figuresBy(cases, ({ fault }) => fault.split(' ')[0]!)}`);
for (const { decided, classRight, machine, fault, leaders, trail } of cases)
  if (decided && !classRight)
    console.log(`\nWrong: ${machine}, ${fault}; said ${leaders}\n  ${trail.join('\n  ')}`);
