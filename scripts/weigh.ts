// npm run -s weigh -- job.json: weighs a job as the API gives it (GET /api/jobs/{id}) by its circuit: verdict, causes with their reasons, what to read next.
import { readFileSync } from 'node:fs';
import { caseFileOf, jobSheet, lanesOf, refusalsOf, type JobSheet } from '@lettura/contract';
import { weighJob } from '@lettura/core/judge/weighing';
import { inWords } from '@lettura/words';

function stop(message: string): never {
  console.error(message);
  process.exit(2);
}

function jobIn(path: string): JobSheet {
  let text: string;
  try {
    text = readFileSync(path, 'utf8');
  } catch {
    return stop(`${path} cannot be read: give the path of a job as GET /api/jobs/{id} gives it.`);
  }
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return stop(`${path} is not JSON: save the answer of GET /api/jobs/{id} as it comes.`);
  }
  const given = jobSheet.safeParse(json);
  if (given.success) return given.data;
  const told = refusalsOf(given.error).map(({ path: at, what }) => `  ${at}: ${inWords(what)}`);
  return stop(`${path} is no job of this product:\n${told.join('\n')}`);
}

const [path] = process.argv.slice(2);
if (path === undefined) stop('Give the file of a job: npm run -s weigh -- job.json');
const sheet = jobIn(path);
const { sensor, job } = sheet;
const wires = lanesOf({ ...sensor, pins: job.pins ?? sensor.pins });
console.log(JSON.stringify(inWords(weighJob(caseFileOf(sheet), wires)), undefined, 2));
