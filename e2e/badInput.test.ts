import { beforeAll, expect, test } from 'vitest';
import { openPage, opened } from './application.ts';
import { enter, openJob, pad, quickEntry, section } from './steps.ts';

const { app, browser, page } = await opened();
beforeAll(async () => {
  await openJob(page, app.url, { machine: 'Tolland 95 tractor', complaint: 'stalls', sensor: 'Corvel MS-3' });
});

test.each([
  ['sig plug 2.3x1', 'is not a unit that belongs here'],
  ['sig plug two', 'is not a number'],
  ['sig plug 1e9', 'written with a power of ten'],
  ['sig plug', 'There is no value yet'],
  ['', 'There is no value yet'],
  ['sig plug 1.2k', 'is a resistance, and this place takes volts'],
  ['sig plug OL', 'over its range'],
  ['sig plug 900', 'outside -30 to 60 V'],
  ['gauge -16 inHg vac', 'counted downwards already'],
  ['baro 29.9 kPa', 'does not occur on a road'],
])('“%s” is refused with what to do, and the text stays', async (text, message) => {
  await enter(page, text);
  const alert = page.getByRole('alert').filter({ hasText: message });
  await alert.waitFor();
  await expect.poll(() => quickEntry(page).inputValue()).toBe(text);
  await expect.poll(() => quickEntry(page).getAttribute('aria-invalid')).toBe('true');
});

test('millivolts and a minus sign are recorded as read, with a word of warning', async () => {
  await enter(page, 'sig plug 14.2mV');
  await page.getByText('14.2 mV is 0.0142 V: next to nothing').waitFor();
  await enter(page, 'ref plug -4.98');
  await page.getByText('with the red and black leads exchanged this is 4.98 V').waitFor();
  await pad(page, 'Reference at the sensor plug: −4.98 V').waitFor();
});

test('what a value would mean shows while it is typed, before it is saved', async () => {
  await quickEntry(page).fill('sig plug 14.2');
  await page.getByText('does the meter show a small "m"?').waitFor();
  await quickEntry(page).fill('');
});

test('a malformed altitude keeps the text and says what to enter', async () => {
  await section(page, 'Ambient');
  await page.getByRole('button', { name: 'Altitude' }).click();
  await page.getByLabel('Altitude, m or ft').fill('high up');
  await page.getByRole('button', { name: 'Save ambient pressure' }).click();
  await page.getByText('“high up” is not an altitude. Enter metres or feet above sea level').waitFor();
  await expect.poll(() => page.getByLabel('Altitude, m or ft').inputValue()).toBe('high up');
  await page.getByLabel('Altitude, m or ft').fill('250');
  await page.getByRole('button', { name: 'Save ambient pressure' }).click();
  await page.getByRole('button', { name: /^Ambient 98\.4 kPa/u }).waitFor(); // US Standard Atmosphere 1976 at 250 m
});

test('a form that lacks something says so at the field and keeps the rest', async () => {
  const { page: form } = await openPage(browser);
  await form.goto(`${app.url}/jobs/new`);
  await form.getByLabel('Complaint').fill('hesitates');
  await form.getByLabel('Codes, stored or pending').fill('P01');
  await form.getByRole('button', { name: 'Open job' }).click();
  await form.getByText('Name the vehicle or machine.').waitFor();
  await form.getByText('A code is a letter and four digits').waitFor();
  await form.getByText('Choose the sensor under test.').waitFor();
  await form.reload();
  await expect.poll(() => form.getByLabel('Complaint').inputValue()).toBe('hesitates');
  await form.close();
});

test('a reading on a job that was deleted meanwhile is kept, and goes in once the job is restored', async () => {
  const jobUrl = page.url();
  const jobId = new URL(jobUrl).pathname.split('/').at(-1);
  // The page must not learn of the deletion before it sends.
  await page.route('**/api/jobs/*', (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await fetch(`${app.url}/api/jobs/${jobId}`, { method: 'DELETE' });
  await enter(page, 'sig conn 2.22');
  await page.getByText('Not recorded: “sig conn 2.22”. This job was deleted. Restore the job').waitFor();
  await page.unroute('**/api/jobs/*');
  await page.getByRole('button', { name: 'Restore' }).click();
  await page.getByRole('button', { name: 'Try again' }).click();
  await page.getByText('Not recorded').waitFor({ state: 'hidden' });
  await page.reload();
  await pad(page, 'Signal at the inline connector: 2.22 V').waitFor();
});

test.each([
  ['/jobs/42', 'This is not a UUID v7'],
  ['/jobs/01935a00-0000-7000-8000-00000000ffff', 'There is no such job'],
  ['/nowhere', 'There is no such page'],
])('the address %s leads to a plain word and a way back', async (path, message) => {
  const { page: lost } = await openPage(browser);
  await lost.goto(app.url + path);
  await lost.getByText(message).waitFor();
  await lost.getByRole('link', { name: 'All jobs' }).click();
  await lost.getByRole('table', { name: 'Jobs' }).waitFor();
  await lost.close();
});

test('a change to a job made elsewhere meanwhile is not overwritten', async () => {
  await section(page, 'Job');
  const jobId = new URL(page.url()).pathname.split('/').at(-1);
  await page.getByLabel('Complaint').fill('stalls in the wet');
  await page.route('**/api/jobs/*', (route) =>
    route.request().method() === 'GET' ? route.abort() : route.continue(),
  );
  await fetch(`${app.url}/api/jobs/${jobId}/details`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ complaint: 'stalls when cold', codes: [], history: '', revision: 1 }),
  });
  await page.getByRole('button', { name: 'Save job details' }).click();
  await page.getByText('Somebody changed this job meanwhile.').waitFor();
  await expect.poll(() => page.getByLabel('Complaint').inputValue()).toBe('stalls in the wet');
  await page.unroute('**/api/jobs/*');
});

// What schemas refuse without words of their own is worded by the contract, once it is loaded: a bundler left it out unseen.
test('the page has what words the refusals of its schemas', async () => {
  const fetched = (ending: string) =>
    page.evaluate(async (wanted) => {
      const names = performance.getEntriesByType('resource').map(({ name }) => name);
      const texts = names
        .filter((name) => name.endsWith(wanted))
        .map(async (name) => (await fetch(name)).text());
      return (await Promise.all(texts)).join('\n');
    }, ending);
  // Once where it is said, and once in the catalogue.
  expect(await fetched('.js')).toContain('refusal.should-be-text');
  expect(await fetched('.json')).toContain('refusal.should-be-text');
});
