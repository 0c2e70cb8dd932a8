import { liveData, machineById, MACHINES, simulatedMachine, surroundingsOf } from '@lettura/bench';
import { quickEntry } from '@lettura/core/record/entry';
import { type Target, type MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { benchPoints, keyOf } from './benchPoints.ts';
import { instrumentAt } from './instrumentAt.ts';

const sound = (id: string) => {
  const machine = machineById(id);
  return simulatedMachine(
    machine,
    [],
    surroundingsOf(machine, () => 0.5),
  );
};
const shown = (id: string, state: MachineState) => ({
  seed: 3,
  tick: 1,
  liveData: liveData(sound(id), state),
});
const koeo: MachineState = { engine: 'koeo', plug: 'connected' };
const POINTS: Target[] = [
  { kind: 'wire', lane: 'signal', place: 'plug' },
  { kind: 'wire', lane: 'battery-feed', place: 'unit' },
  { kind: 'gauge', tap: 'sensor-hose' },
  { kind: 'gauge', tap: 'manifold' },
  { kind: 'gauge', tap: 'service-port' },
  { kind: 'scan' },
];

test.each(MACHINES.map(({ id, sensor }) => [id, sensor] as const))(
  'whatever an instrument of %s offers to take can be typed into the sheet, and means the same',
  (id, { profile }) => {
    for (const point of POINTS) {
      const { text, remark } = instrumentAt(sound(id), koeo, point, shown(id, koeo));
      if (text === undefined) {
        expect(remark, JSON.stringify(point)).toBeDefined();
        continue;
      }
      const entry = quickEntry(text, {
        selected: point,
        measures: profile.measures,
        pressureUnit: 'psi',
        gaugeUnit: 'psi',
        highestKpa: 2 * profile.highest + 1000,
      });
      expect(entry.ok, `${text}: ${JSON.stringify(entry)}`).toBe(true);
      if (entry.ok) expect(entry.value.kind).toBe(point.kind);
    }
  },
);

test('with the key off live data does not answer, and nothing can be taken', () => {
  const off: MachineState = { engine: 'key-off', plug: 'connected' };
  const display = instrumentAt(sound('brill-p4'), off, { kind: 'scan' }, shown('brill-p4', off));
  expect(display.text).toBeUndefined();
  expect(display.remark).toContain('key off');
});

test('the sensor’s own pins can be reached only with the plug off', () => {
  const machine = machineById('larch-pedal');
  const keys = (plugged: boolean) => benchPoints(machine, plugged).map(({ key }) => key);
  expect(keys(true)).not.toContain('signal:pin');
  expect(keys(false)).toContain('second-return:pin');
  expect(new Set(keys(false)).size).toBe(keys(false).length);
});

test('every point has a key of its own and words', () => {
  for (const { key, point, words } of benchPoints(machineById('larch-throttle'), false)) {
    expect(keyOf(point)).toBe(key);
    expect(words.toLowerCase()).toContain(typeof point === 'string' ? 'battery' : point.lane.split('-')[0]);
  }
});
