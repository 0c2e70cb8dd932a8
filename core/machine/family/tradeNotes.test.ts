import { expect, test } from 'vitest';
import type { MachineState, Target } from '../places/index.ts';
import { FAMILIES, familyOf, FAMILY_IDS, NOTE_STEPS, notesAt, notesReplacing } from './index.ts';

const SIGNAL: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };
const IDLE: MachineState = { engine: 'idle', plug: 'connected' };
const codes = (messages: { code: string }[]) => messages.map(({ code }) => code);

test('a note stands where it matters: at rest, on the running engine, with the part in hand', () => {
  const manifold = familyOf('manifold-pressure');
  expect(codes(notesAt(manifold, SIGNAL, KOEO))).toEqual([
    'families.engine-stopped-must-equal-barometric',
    'families.below-13-kpa-under-0',
  ]);
  expect(codes(notesAt(manifold, SIGNAL, IDLE))).toEqual([
    'families.healthy-petrol-engine-idles-18',
    'families.below-13-kpa-under-0',
  ]);
  expect(codes(notesReplacing(familyOf('filter-differential')))).toEqual([
    'families.after-replacement-often-needs-zero',
    'families.ohms-across-supply-pins-old',
  ]);
  expect(codes(notesReplacing(manifold))).toEqual([]);
});

test('a pumped or moved sensor is driven, whatever the engine does', () => {
  const flow = familyOf('exhaust-flow-differential');
  const forced: MachineState = { ...KOEO, stimulus: { kind: 'valve-open' } };
  expect(codes(notesAt(flow, SIGNAL, forced))).toContain('families.engine-stumbles-voltage-stays-passages');
  expect(codes(notesAt(flow, SIGNAL, forced))).not.toContain('families.offset-engine-stopped-0-8');
});

test('nothing is said of the sensor at a supply wire, with the plug off or the key off', () => {
  for (const family of Object.values(FAMILIES))
    for (const [target, state] of [
      [{ kind: 'wire', lane: 'reference', place: 'plug' }, KOEO],
      [SIGNAL, { ...KOEO, plug: 'unplugged' }],
      [SIGNAL, { engine: 'key-off', plug: 'connected' }],
    ] as [Target, MachineState][])
      expect(notesAt(family, target, state)).toEqual([]);
});

test('every note of every family comes up at some step', () => {
  const states = [KOEO, IDLE];
  const targets: Target[] = [SIGNAL, { ...SIGNAL, lane: 'second-signal' }, { kind: 'scan' }];
  for (const id of FAMILY_IDS) {
    const family = familyOf(id);
    const shown = new Set([
      ...codes(notesReplacing(family)),
      ...targets.flatMap((target) => states.flatMap((state) => codes(notesAt(family, target, state)))),
    ]);
    expect(shown, id).toEqual(new Set(codes(family.notes.map(({ says }) => says))));
    for (const { at } of family.notes) expect(NOTE_STEPS).toContain(at);
  }
});
