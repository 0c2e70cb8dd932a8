// npm run -s weigh -- job.json: weighs a job as the API gives it (GET /api/jobs/{id}) by its circuit: verdict, causes with their reasons, what to read next.
import { readFileSync } from 'node:fs';
import { caseFileOf, jobSheet, lanesOf } from '@lettura/contract';
import { weighJob } from '@lettura/core/weighing';
import { z } from 'zod';

const [path] = process.argv.slice(2);
if (path === undefined) {
  console.error('Give the file of a job: npm run -s weigh -- job.json');
  process.exit(2);
}
const given = jobSheet.safeParse(JSON.parse(readFileSync(path, 'utf8')));
if (!given.success) {
  console.error(`${path} is no job of this product:\n${z.prettifyError(given.error)}`);
  process.exit(2);
}
const { sensor, job } = given.data;
const wires = lanesOf({ ...sensor, pins: job.pins ?? sensor.pins });
console.log(JSON.stringify(weighJob(caseFileOf(given.data, 'kPa'), wires), undefined, 2));
