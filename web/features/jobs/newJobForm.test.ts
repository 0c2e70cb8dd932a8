import { expect, test } from 'vitest';
import { refused } from '../../ui/words.ts';
import { newJobForm } from './newJobForm.ts';

const typed = {
  vehicleName: 'Larch 1.6',
  machine: '',
  complaint: 'hesitates',
  codes: '',
  history: '',
  sensorId: '01935a00-0000-7000-8000-000000000001',
  litres: '',
};
const problems = (over: Partial<typeof typed>): Record<string, string> => {
  const read = newJobForm.safeParse({ ...typed, ...over });
  return Object.fromEntries(
    (read.error?.issues ?? []).map(({ path, message }) => [String(path[0]), refused(message)]),
  );
};

test('what a technician types becomes a job', () =>
  expect(newJobForm.parse({ ...typed, codes: 'P0106, P0107', litres: '1,6' })).toEqual({
    ...typed,
    codes: ['P0106', 'P0107'],
    litres: 1.6,
  }));

test('an unknown displacement is left out', () => expect(newJobForm.parse(typed).litres).toBeUndefined());

test.each([
  [{ vehicleName: ' ' }, 'vehicleName', /./u],
  [{ complaint: '' }, 'complaint', /./u],
  [{ sensorId: '' }, 'sensorId', /Choose the sensor/u],
  [{ litres: 'two' }, 'litres', /for example 1\.6/u],
  [{ litres: '0' }, 'litres', /for example 1\.6/u],
  [{ codes: 'P0106 P01' }, 'codes', /“P01”/u],
] as const)('%j is told at the field %s', (over, field, message) => {
  const told = problems(over);
  expect(Object.keys(told)).toEqual([field]);
  expect(told[field]).toMatch(message);
});
