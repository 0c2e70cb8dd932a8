import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { noAccessibilityFault, openJob, section, toJobs } from './steps.ts';

const { app, page, complaints } = await opened({ feeds: 'simulated' });

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
  expect(said).toMatch(/When P0107 was set: Calculated load 2[34]\.\d+ %, Manifold pressure \d+ kPa/u);
  // A unit that does not answer a service is not one without codes.
  await vehicle().getByText('Permanent codes: the unit does not say.').waitFor();
  await vehicle().getByText('its values are invented').waitFor();
  await noAccessibilityFault(page, { within: '[role=tabpanel]' });

  await vehicle().getByRole('button', { name: 'Take into the job' }).click();
  await expect.poll(() => page.getByLabel('Codes, stored or pending').inputValue()).toBe('P0107');
  await section(page, 'Record');
  const line = page.getByRole('button', { name: /Vehicle asked/u });
  expect(await line.innerText()).toContain('P0107');
  await line.click();
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
  expect(await codes.inputValue()).toBe('P0420, P0107');
  // There is no job yet that could say that they were cleared.
  expect(await vehicle().getByRole('button', { name: 'Clear codes …' }).count()).toBe(0);
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
  expect(await now.isDisabled()).toBe(true);
  await asked.getByRole('checkbox').check();
  await now.click();
  await vehicle().getByText('Cleared by 7E8, 7E9.').waitFor();
  await engine().getByText('No code stored').waitFor();
  await engine().getByText('Permanent P0107').waitFor();
  expect(await engine().innerText()).not.toContain('was set');
  await section(page, 'Record');
  await page.getByRole('button', { name: /Work done.*[Cc]odes cleared/u }).waitFor();
});

test('a practice job has its own machine, and does not ask another one', async () => {
  await toJobs(page, app.url);
  await page.getByRole('link', { name: 'New job' }).click();
  await page.getByLabel('Practise on the simulated machine').check();
  await page.getByRole('button', { name: 'Start practice' }).click();
  await page.getByRole('region', { name: 'Next reading' }).waitFor();
  await section(page, 'Job');
  await page.getByLabel('Complaint').waitFor();
  expect(await vehicle().count()).toBe(0);
  expect(complaints).toEqual([]);
});
