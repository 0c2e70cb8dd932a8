// npm run -s weigh -- job.json: weighs a job as the API gives it (GET /api/jobs/{id}) by its circuit, and prints the causes.
import { readFileSync } from 'node:fs';
import { caseFileOf, jobSheet, lanesOf } from '@lettura/contract';
import { posterior, Weigher } from '@lettura/core/weighing';
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
const caseFile = caseFileOf(given.data, 'kPa');
const weigher = new Weigher(caseFile, lanesOf({ ...sensor, pins: job.pins ?? sensor.pins }));
const weighed = weigher.caseOf(caseFile);
console.log(
  JSON.stringify(
    {
      readings: weighed.readings.length,
      causes: posterior(weighed).map(({ hypothesis: { id, class: sort, title }, share }) => ({
        id,
        class: sort,
        title,
        share: Number(share.toPrecision(4)),
      })),
    },
    undefined,
    2,
  ),
);
