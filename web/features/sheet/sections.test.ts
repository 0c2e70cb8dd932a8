import { expect, test } from 'vitest';
import { activitiesOf, activityOf, sectionFrom, sectionsOf } from './sections.ts';

const PUMPED = { pumped: true, simulated: true };
const NEITHER = { pumped: false, simulated: false };

test('there are six things to do, and each section serves one of them', () => {
  const activities = activitiesOf(PUMPED).map(({ activity }) => activity);
  expect(activities).toHaveLength(6);
  const sections = activities.flatMap((activity) => sectionsOf(activity, 'reading', PUMPED));
  expect(new Set(sections).size).toBe(12);
  for (const section of sections) {
    expect(sectionFrom(section)).toBe(section);
    expect(sectionsOf(activityOf(section), section, NEITHER)).toContain(section);
  }
});

test('without a pump and a simulated machine their sections are not offered, but what is open is', () => {
  expect(sectionsOf('sweep', 'reading', NEITHER)).toEqual(['sweeps']);
  expect(sectionsOf('measure', 'reading', NEITHER)).toEqual(['reading']);
  expect(sectionsOf('measure', 'bench', NEITHER)).toEqual(['reading', 'bench']);
  const label = (has: typeof NEITHER) =>
    activitiesOf(has).find(({ activity }) => activity === 'sweep')!.label;
  expect(label(NEITHER)).toBe('Sweep');
  expect(label(PUMPED)).toBe('Pump & sweep');
});

test.each([null, '', 'nothing', 'constructor'])('an address that says %o opens the reading', (name) => {
  expect(sectionFrom(name)).toBe('reading');
});
