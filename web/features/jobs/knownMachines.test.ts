import type { Job } from '@lettura/contract';
import { expect, test } from 'vitest';
import { ANOTHER_MACHINE, knownMachines, machineChosen } from './knownMachines.ts';

const vehicles = ['a', 'b', 'c'].map((id) => ({
  id,
  name: id === 'c' ? 'Marsh Lane pump 2' : 'Larch 1.6 van',
}));
const job = (vehicleId: string, openedAt: string, over: Partial<Job> = {}) => ({
  job: { id: openedAt, vehicleId, openedAt, complaint: openedAt, ...over } as Job,
});
const rows = [
  job('a', '2026-11-02'),
  job('b', '2026-11-20'),
  job('b', '2026-11-05'),
  job('a', '2026-11-25', { deletedAt: '2026-11-26' }),
];

test('machines of one name are several, the last worked on first, deleted jobs aside', () => {
  const known = knownMachines(' Larch 1.6 van ', vehicles, rows);
  expect(known.map(({ vehicle, jobs, last }) => [vehicle.id, jobs, last?.openedAt])).toEqual([
    ['b', 2, '2026-11-20'],
    ['a', 1, '2026-11-02'],
  ]);
  expect(knownMachines('Larch', vehicles, rows)).toEqual([]);
  expect(knownMachines('Marsh Lane pump 2', vehicles, rows)).toMatchObject([{ jobs: 0, last: undefined }]);
});

test('without a choice it is the last worked on, and a choice of another name is none', () => {
  const known = knownMachines('Larch 1.6 van', vehicles, rows);
  const chosen = (machine: string) => machineChosen(known, machine)?.id;
  expect(['', 'a', 'c', ANOTHER_MACHINE].map(chosen)).toEqual(['b', 'a', 'b', undefined]);
  expect(machineChosen([], '')).toBeUndefined();
});
