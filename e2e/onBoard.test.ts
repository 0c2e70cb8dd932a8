import { afterAll, expect, test } from 'vitest';
import { serialLine } from '../server/onBoard/serialLine.ts';
import { simulatedVehicle } from '../server/onBoard/simulatedVehicle.ts';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, section, toJobs } from './steps.ts';

const standIn = await simulatedVehicle();
// By an adapter on a serial line; behind a socket the vehicle is asked in sentInTelegrams.
const line = await serialLine(standIn.port);
const { app, page, complaints } = await opened({ liveData: `slcan://${line.device}` });
afterAll(async () => {
  await line.close();
  await standIn.close();
});

const vehicle = () => page.getByRole('region', { name: 'From the vehicle' });
const engine = () => vehicle().getByRole('region', { name: 'Control unit 7E8' });

test('the vehicle is asked for its codes, and they go into the job with one press', async () => {
  await openJob(page, app.url, {
    machine: 'Tolland 95 tractor',
    sensor: 'Corvel MS-3',
    complaint: 'Lamp on',
  });
  await section(page, 'Job');
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await engine().getByText('Stored P0107').waitFor();
  const said = await engine().innerText();
  expect(said).toContain('Pending P0107');
  expect(said).toContain('Permanent P0107');
  expect(said).toContain('lamp on');
  expect(said).toContain('Not finished: catalyst, evaporative system. Finished: 4.');
  expect(said).toMatch(/When P0107 was set: calculated load 2[34]\.\d+ %, manifold pressure \d+ kPa/u);
  // A unit that does not answer a service is not one without codes.
  await vehicle().getByText('Permanent codes: the unit does not say.').waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });

  await vehicle().getByRole('button', { name: 'Take into the job' }).click();
  await expect.poll(() => page.getByLabel('Codes, stored or pending').inputValue()).toBe('P0107');
  await section(page, 'Record');
  const asked = page.getByRole('button', { name: /Vehicle asked/u });
  await expect.poll(() => asked.innerText()).toContain('P0107');
  await asked.click();
  await page
    .getByText(/Unit 7E8: stored P0107; pending P0107; permanent P0107; not finished/u)
    .first()
    .waitFor();
});

test('whoever opens a job takes the codes from the vehicle, beside those that are typed', async () => {
  await toJobs(page, app.url);
  await page.getByRole('link', { name: 'New job' }).click();
  const codes = page.getByLabel('Codes, stored or pending');
  await codes.fill('P0420');
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await vehicle().getByRole('button', { name: 'Take these codes' }).click();
  await expect.poll(() => codes.inputValue()).toBe('P0420, P0107');
  // There is no job yet that could say that they were cleared.
  await expect.poll(() => vehicle().getByRole('button', { name: 'Clear codes …' }).count()).toBe(0);
  await page.goBack();
});

test('codes are cleared once the consequences were read, and the job says so', async () => {
  await page.getByRole('link', { name: 'Tolland 95 tractor' }).click();
  await section(page, 'Job');
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await vehicle().getByRole('button', { name: 'Clear codes …' }).click();
  const asked = vehicle().getByRole('group', { name: 'Clear codes …' });
  await asked.getByText(/Clearing loses the freeze frame/u).waitFor();
  const now = asked.getByRole('button', { name: 'Clear them now' });
  await expect.poll(() => now.isDisabled()).toBe(true);
  await asked.getByRole('checkbox').check();
  await now.click();
  await vehicle().getByText('Cleared by 7E8, 7E9.').waitFor();
  await engine().getByText('No code stored').waitFor();
  await engine().getByText('Permanent P0107').waitFor();
  await expect.poll(() => engine().innerText()).not.toContain('was set');
  await section(page, 'Record');
  await page.getByRole('button', { name: /Work done.*[Cc]odes cleared/u }).waitFor();
});

test('mended, cleared, driven: the vehicle’s own answers bear the repair out', async () => {
  await section(page, 'Repair');
  await page.getByText('More was done').click();
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: /^Wire/u }).click();
  await page.getByRole('button', { name: 'Put it on record' }).click();
  standIn.mend();
  const remarks = page.getByRole('list', { name: 'What codes, readiness and road say' });
  await vehicle().getByRole('button', { name: 'Read codes from the vehicle' }).click();
  await vehicle().getByRole('button', { name: 'Clear codes …' }).click();
  await vehicle().getByRole('checkbox').check();
  await vehicle().getByRole('button', { name: 'Clear them now' }).click();
  await vehicle().getByText('Cleared by 7E8, 7E9.').waitFor();
  // Asked again by itself: every self-test begins anew.
  await engine().getByText('Not finished: misfire').waitFor();
  await vehicle().getByRole('button', { name: 'Put on record' }).click();
  await remarks.getByText(/^Not finished yet: .*catalyst/u).waitFor();
  standIn.drive();
  await vehicle().getByRole('button', { name: 'Ask again' }).click();
  await engine().getByText('Every self-test has finished.').waitFor();
  await engine().getByText('No permanent code').waitFor();
  await vehicle().getByRole('button', { name: 'Put on record' }).click();
  await remarks.getByText('No code has come back: cleared, and read 2 times since.').waitFor();
  await remarks.getByText('Every self-test of the control unit has finished.').waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });
});

test('key off: what is wrong is said with what to do, and the last answer stands', async () => {
  standIn.behave('silent');
  await vehicle().getByRole('button', { name: 'Ask again' }).click();
  await vehicle()
    .getByText(/The vehicle does not answer.*Key on, the adapter in the diagnostic plug; then try again\./u)
    .waitFor();
  await engine().getByText('No code stored').waitFor();
  standIn.behave('usual');
  await vehicle().getByRole('button', { name: 'Ask again' }).click();
  await vehicle()
    .getByText(/The vehicle does not answer/u)
    .waitFor({ state: 'detached' });
});

test('the adapter is pulled out: that it does not answer is said, and the last answer stands', async () => {
  await line.unplug();
  await vehicle().getByRole('button', { name: 'Ask again' }).click();
  await vehicle()
    .getByText(/The vehicle does not answer: .*(?:the connection was closed|no \/dev\/).*then try again\./u)
    .waitFor();
  await engine().getByText('No code stored').waitFor();
});

test('a practice job has its own machine, and does not ask another one', async () => {
  await toJobs(page, app.url);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Practise on the simulated machine').check();
  await page.getByRole('button', { name: 'Start practice' }).click();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
  await section(page, 'Job');
  await page.getByLabel('Complaint').waitFor();
  await expect.poll(() => vehicle().count()).toBe(0);
  expect(complaints).toEqual([]);
});
