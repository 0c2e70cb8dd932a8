import { newSensor, type Sensor } from '@lettura/contract';
import { FAMILY_IDS } from '@lettura/core/machine/family';
import { MPX4250A } from '@lettura/core/measure/transfer';
import { expect, test } from 'vitest';
import { searchSensors } from './searchSensors.ts';

const sensors: Sensor[] = Array.from({ length: 2000 }, (_, i) => {
  const id = `01935a00-0000-7000-8000-${String(i).padStart(12, '0')}`;
  return {
    ...newSensor.parse({
      id,
      name: `Sensor ${i}`,
      family: FAMILY_IDS[i % FAMILY_IDS.length],
      source: i === 1234 ? 'bench of the old mill' : 'workshop',
      notes: i === 77 ? 'sits behind the fan' : '',
      profile: MPX4250A,
    }),
    lineageId: id,
    version: 1,
  };
});

test('every word counts, wherever it stands', () => {
  expect(searchSensors(sensors, 'MILL bench', '').map(({ name }) => name)).toEqual(['Sensor 1234']);
  expect(searchSensors(sensors, 'fan 77', '').map(({ name }) => name)).toEqual(['Sensor 77']);
  expect(searchSensors(sensors, 'pedal 1999 x', '')).toEqual([]);
});

test('a family narrows, and families stand in the order of the trade', () => {
  const pedals = searchSensors(sensors, '', 'pedal');
  expect(pedals.every(({ family }) => family === 'pedal')).toBe(true);
  const order = searchSensors(sensors, '', '').map(({ family }) => FAMILY_IDS.indexOf(family));
  expect(order).toHaveLength(2000);
  expect(order.every((at, i) => i === 0 || at >= (order[i - 1] ?? 0))).toBe(true);
});
