import { expect, test } from 'vitest';
import { opened } from './application.ts';
import { go } from './steps.ts';
import { type JobSummary } from '@lettura/contract';

const { app, page, complaints } = await opened({ data: 'demo' });

const SHORT_MONTH = new Intl.DateTimeFormat('en-GB', { month: 'short' });
/** Names of units, standards, formats and keys, and what is typed: the same in every language. */
const SAME_EVERYWHERE = new Set(
  (
    'Lettura kPa hPa mbar bar MPa psi inHg mmHg mmH inH kgf vac abs gauge diff rpm JSON CSV JCGM GUM NIST ISO SAE ' +
    'QNH CAN candump KOEO ref ecu ret scan sig ago hr Alt Enter Esc Steinhart Hart WGS iso min'
  )
    .split(/\s+/u)
    // Dates are written by the browser, and this language has those of English.
    .concat(Array.from({ length: 12 }, (_, month) => SHORT_MONTH.format(new Date(2026, month, 1)))),
);

/** Every text of the demo's own data: names, complaints, notes. */
async function dataTexts(): Promise<string[]> {
  const get = async (path: string): Promise<unknown> => (await fetch(`${app.url}/api${path}`)).json();
  const jobs = (await get('/jobs')) as JobSummary[];
  const all = [
    jobs,
    await get('/sensors'),
    await get('/instruments'),
    await get('/recordings'),
    ...(await Promise.all(jobs.map(({ job: { id } }) => get(`/jobs/${id}`)))),
  ];
  const texts = new Set<string>();
  const gather = (of: unknown): void => {
    if (typeof of === 'string') texts.add(of.trim());
    else if (typeof of === 'object' && of !== null) Object.values(of).forEach(gather);
  };
  gather(all);
  return [...texts].filter((text) => text.length > 2).sort((a, b) => b.length - a.length);
}

/** What is shown or read aloud on the page, each text by itself. */
const shown = (): Promise<string[]> =>
  page.evaluate(() => {
    const found: string[] = [document.title];
    const walker = document.createTreeWalker(document.body, NodeFilter.SHOW_TEXT);
    while (walker.nextNode()) {
      const parent = walker.currentNode.parentElement;
      if (parent && !['SCRIPT', 'STYLE', 'NOSCRIPT'].includes(parent.tagName))
        found.push(walker.currentNode.textContent ?? '');
    }
    for (const element of document.querySelectorAll('[aria-label], [placeholder], [title], [alt]'))
      for (const name of ['aria-label', 'placeholder', 'title', 'alt'])
        found.push(element.getAttribute(name) ?? '');
    return found.map((text) => text.trim()).filter((text) => text !== '');
  });

const data = await dataTexts();

/** Words that nobody has put into the catalogue: letters without an accent. */
async function leftInEnglish(): Promise<string[]> {
  const left = new Set<string>();
  for (const text of await shown()) {
    const rest = data.reduce((all, one) => all.replaceAll(one, ' '), text);
    for (const [word] of rest.matchAll(/(?<![\p{L}\d])[A-Za-z]{3,}(?![\p{L}\d])/gu))
      if (!SAME_EVERYWHERE.has(word)) left.add(`${word} (in “${text.slice(0, 80)}”)`);
  }
  return [...left];
}

/** Nothing reaches past the right edge, and the page does not scroll sideways. */
/** Once the page has laid itself out for its width: a second is given for it. */
const overflow = (): Promise<number> =>
  page.evaluate(async () => {
    const { documentElement: root } = document;
    const wide = () => root.scrollWidth - root.clientWidth;
    for (let frame = 0; frame < 60 && wide() > 0; frame++) await new Promise(requestAnimationFrame);
    return wide();
  });

const jobs = (await (await fetch(`${app.url}/api/jobs`)).json()) as JobSummary[];
const recordings = (await (await fetch(`${app.url}/api/recordings`)).json()) as {
  id: string;
  jobId: string;
}[];
const sensors = (await (await fetch(`${app.url}/api/sensors`)).json()) as { id: string }[];
const job = jobs.toSorted((a, b) => b.readingCount - a.readingCount)[0]!.job.id;
const SCREENS = [
  '/',
  '/jobs/new',
  `/jobs/${job}`,
  `/jobs/${job}/report`,
  `/jobs/${job}/sweeps/import`,
  `/jobs/${job}/sweeps/record`,
  '/sweeps',
  `/sweeps/${recordings[0]!.id}`,
  '/instruments',
  '/sensors',
  `/sensors/${sensors[0]!.id}`,
  '/sensors/new',
  '/reference',
  '/reference/airflow',
  '/reference/pair',
  '/nowhere',
];

test('in a language with longer words, no screen has English left, and none is broken', async () => {
  await page.addInitScript(() => localStorage.setItem('lettura.language', 'en-XA'));
  const left: Record<string, string[]> = {};
  const broken: string[] = [];
  for (const path of SCREENS) {
    await go(page, app.url, path);
    await page.getByRole('main').or(page.getByRole('alert')).first().waitFor();
    if (path === `/jobs/${job}`) await page.getByRole('tab').first().waitFor();
    await page.waitForLoadState('networkidle');
    const words = await leftInEnglish();
    if (words.length > 0) left[path] = words;
    for (const width of [390, 1280]) {
      await page.setViewportSize({ width, height: 800 });
      await page.waitForLoadState('networkidle');
      const pixels = await overflow();
      if (pixels > 0) broken.push(`${path} at ${width}: ${pixels} pixels too wide`);
    }
    if (path !== `/jobs/${job}`) continue;
    const tabs = (list: number) => page.getByRole('tablist').nth(list).getByRole('tab').all();
    for (const activity of await tabs(0)) {
      await activity.click();
      const sections = (await page.getByRole('tablist').count()) > 1 ? await tabs(1) : [activity];
      for (const section of sections) {
        await section.click();
        const more = await leftInEnglish();
        if (more.length > 0) left[`${path} ${await section.textContent()}`] = more;
      }
    }
  }
  expect(left).toEqual({});
  expect(broken).toEqual([]);
  expect(complaints).toEqual([]);
});
