import { expect, test } from 'vitest';
import { opened } from './application.ts';
import {
  choose,
  enter,
  nextReading,
  openJob,
  reportWeighed,
  section,
  standing,
  weighed,
  type NewJob,
} from './steps.ts';

const { app, page, complaints } = await opened();

const begin = (job: Omit<NewJob, 'ambient'>) =>
  openJob(page, app.url, { ...job, ambient: { source: 'Barometer here', pressure: '101.3' } });

const saved = async () => {
  await page.getByRole('status').filter({ hasText: 'Undo' }).waitFor();
  await page.getByRole('button', { name: 'Close' }).click();
};

/** Answers a look, whether or not it is asked for. */
async function look(question: RegExp, answer: string): Promise<void> {
  const next = nextReading(page);
  const others = next.getByText('Other readings and looks');
  const all = next.getByRole('combobox', { name: /^Looked at something/u });
  if (!(await all.isVisible())) await others.click();
  await all.click();
  await page.getByRole('option', { name: question }).click();
  await next.getByRole('button', { name: answer }).last().click();
  await saved();
}

/** The verdict that the readings prove is put on record. */
async function decided(title: string): Promise<void> {
  await weighed(page);
  await standing(page).getByRole('heading', { name: 'Standing: proven' }).waitFor();
  await section(page, 'Verdict');
  await page.getByRole('button', { name: `Record verdict: ${title}` }).click();
  await page.getByRole('list', { name: 'Recorded verdicts' }).getByText(title).waitFor();
}

async function work(what: string, fields: Record<string, string> = {}): Promise<void> {
  await section(page, 'Repair');
  await page.getByRole('combobox', { name: 'What was done' }).click();
  await page.getByRole('option', { name: what }).click();
  for (const [label, text] of Object.entries(fields)) await page.getByLabel(label).fill(text);
  await page.getByRole('button', { name: 'Put it on record' }).click();
  await page.getByRole('list', { name: 'Before and after' }).waitFor();
}

/** The same test again, at its point and in its state. */
async function again(where: string, text: string): Promise<void> {
  const field = page.getByRole('textbox', { name: `Read again: ${where}`, exact: true });
  await field.fill(text);
  await field.press('Enter');
  await expect.poll(() => field.inputValue()).toBe('');
}

const proof = () => page.getByRole('region', { name: 'The same tests again' }).getByRole('status');

async function codesStayAway(): Promise<void> {
  await choose(page, 'Codes cleared now');
  await choose(page, 'Put “no code stored” on record');
}

/** What a stranger reads of it. */
async function report(): Promise<string> {
  await page.getByRole('link', { name: 'Report' }).click();
  await reportWeighed(page);
  return (await page.getByRole('main').textContent()) ?? '';
}

test('boost that sticks under load: cleaned it is still bad, replaced it is proven by the same tests, codes and the road', async () => {
  await begin({
    machine: 'Tolland 110 loader',
    complaint: 'no power under load',
    codes: 'P0236',
    sensor: 'Heron B3 boost, absolute',
  });
  for (const text of ['ref plug 4.99', 'ret plug 12mV', 'sig plug 1.27']) await enter(page, text);
  await choose(page, 'Revs held');
  await enter(page, 'sig plug 1.27');
  await enter(page, 'gauge 40 kPa gauge');
  await choose(page, 'Key on, engine off');
  await section(page, 'Pump');
  const step = page.getByRole('table', { name: 'Pump sweep' }).getByLabel(/^Signal at 50/u);
  await step.fill('1.27');
  await step.press('Enter');
  await section(page, 'Reading');
  await look(/^Is the hose to the sensor on/u, 'Sound and clear');
  await look(/^Are the terminals of the sensor plug/u, 'Clean and tight');
  await decided('Sensor');

  await work('part cleaned', { 'Which part, where': 'port of the sensor' });
  console.log(
    await page.getByRole('list', { name: 'Before and after' }).textContent(),
    await proof().textContent(),
  );
});
