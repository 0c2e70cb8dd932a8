// node --import tsx scripts/bench/strangersReport.ts 200 1: the strangers' bench, with its tables for docs/weighing.md.
import { writeFileSync } from 'node:fs';
import { diagnosisFigures, figuresBy, figuresInWords } from './diagnosisFigures.ts';
import { eachStranger } from './strangers.ts';
import type { WorkedCase } from './patient.ts';

const [count = '200', first = '1', file] = process.argv.slice(2);
const all: WorkedCase[] = [];
for (const one of eachStranger(Number(count), Number(first))) {
  all.push(one);
  // It takes hours: what is worked out stays, whenever it is stopped.
  if (file) writeFileSync(file, JSON.stringify(all));
}
const known = all.filter(({ outside }) => !outside);
const outside = all.filter((one) => one.outside);
const shareOf = (of: readonly WorkedCase[], wanted: (one: WorkedCase) => boolean) =>
  `${((100 * of.filter(wanted).length) / of.length).toFixed(1)} % of ${of.length}`;
console.log(figuresInWords('chosen', diagnosisFigures(known)));
console.log(`decided: ${shareOf(known, ({ decided }) => decided)}`);
console.log(
  `outside the catalogue: unexplained or class right ${shareOf(outside, ({ unexplained, classRight }) => unexplained || classRight)}, wrong verdict ${shareOf(outside, ({ decided, classRight }) => decided && !classRight)}`,
);
const { reliability } = diagnosisFigures(known);
console.log(
  `\n| stated | right | cases |\n|---|---|---|\n${reliability.map(({ share, right, count: of }) => `| ${share.toFixed(2)} | ${right.toFixed(2)} | ${of} |`).join('\n')}`,
);
console.log(`\n${figuresBy(all, ({ family }) => family)}`);
console.log(
  `\n${figuresBy(all, ({ fault, outside: is }) => `${is ? 'outside: ' : ''}${fault.split(' ').slice(0, 2).join(' ')}`)}`,
);
