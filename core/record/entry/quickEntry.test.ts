import { expect, test } from 'vitest';
import type { Target } from '../../machine/places/index.ts';
import { quickEntry } from './index.ts';
import { coded } from '../../measure/message/coded.ts';

const none = {
  selected: undefined,
  pressureUnit: 'kPa' as const,
  gaugeUnit: 'kPa' as const,
  measures: 'absolute-pressure' as const,
};
const signalAtPlug: Target = { kind: 'wire', lane: 'signal', place: 'plug' };
const value = (text: string, defaults: Parameters<typeof quickEntry>[1] = none) => {
  const result = coded(quickEntry(text, defaults));
  return result.ok ? result.value : result.problem;
};

test.each([
  ['sig plug 2.31', 'signal', 'plug', 2.31],
  ['ref ecu 4.98', 'reference', 'unit', 4.98],
  ['ret 12mV', 'return', 'plug', 0.012],
  ['2,31 signal conn', 'signal', 'connector', 2.31],
  ['REF 4.98 V', 'reference', 'plug', 4.98],
] as const)('"%s" is %s at the %s, %d V', (text, lane, place, volts) => {
  expect(value(text)).toMatchObject({ kind: 'wire', lane, place, volts });
});

test.each([
  ['sig plug 107 Hz', { kind: 'frequency', place: 'plug', hertz: 107 }],
  ['sig ecu 2,4 kHz', { kind: 'frequency', place: 'unit', hertz: 2400 }],
  ['sig 45 %', { kind: 'duty', place: 'plug', upPercent: 45 }],
  ['sig 45% low', { kind: 'duty', place: 'plug', upPercent: 55 }],
  ['sig 0 Hz', { kind: 'frequency', hertz: 0 }],
  ['ref 107 Hz', 'wrong-quantity'],
  ['sig 101 %', 'value-out-of-range'],
  ['sig 900 kHz', 'value-out-of-range'],
  ['sig -5 Hz', 'not-a-number'],
  ['sig 1,300 Hz', 'two-readings'],
] as const)('“%s” is counted', (text, said) => {
  const sends = { ...none, pulsesAs: 'duty' } as const;
  expect(value(text, sends)).toMatchObject(
    typeof said === 'string' ? { code: said } : { lane: 'signal', ...said },
  );
});

test.each([
  ['scan sig2 0.46', { lane: 'second-signal', volts: 0.46 }],
  ['sig2 live 460mV', { lane: 'second-signal', volts: 0.46 }],
  ['live sig ecu 4,08 V', { lane: 'signal', volts: 4.08 }],
  ['scan ref 4.98', 'wrong-basis'],
  ['scan sig2 plug 0.46', 'wrong-basis'],
  ['baro sig2 0.46', 'two-targets'],
] as const)('“%s” is volts that live data shows', (text, said) => {
  expect(value(text)).toMatchObject(
    typeof said === 'string' ? { code: said } : { kind: 'live-volts', ...said },
  );
});

test('of a sensor that sends pulses a number that is hardly a voltage is asked for its unit; of others percent are', () => {
  const sends = { ...none, selected: signalAtPlug, pulsesAs: 'duty' } as const;
  expect(value('45', sends)).toMatchObject({ code: 'two-readings' });
  expect(value('107', { ...sends, pulsesAs: 'frequency' })).toMatchObject({ code: 'two-readings' });
  expect(value('2.5', sends)).toMatchObject({ kind: 'wire', volts: 2.5 });
  expect(value('45 V', sends)).toMatchObject({ kind: 'wire', volts: 45 });
  expect(value('ref 45', sends)).toMatchObject({ kind: 'wire' });
  expect(value('sig 45 %')).toMatchObject({ code: 'wrong-quantity' });
  expect(value('sig 107 Hz')).toMatchObject({ kind: 'frequency' });
});

test('a bare number goes to the point in hand', () => {
  expect(value('2.31', { ...none, selected: signalAtPlug })).toMatchObject({ ...signalAtPlug, volts: 2.31 });
});

test('millivolts are worth a word on the signal, and are what a return should show', () => {
  expect(value('sig 12mV')).toMatchObject({ warnings: [{ code: 'millivolts' }] });
  expect(value('ret 12mV')).toMatchObject({ warnings: [] });
});

test('a place alone keeps the wire in hand', () => {
  expect(value('ecu 2.30', { ...none, selected: signalAtPlug })).toMatchObject({
    lane: 'signal',
    place: 'unit',
  });
});

test('"gauge 16.5 inHg vac" is vacuum at the sensor hose', () => {
  const entry = value('gauge 16.5 inHg vac');
  expect(entry).toMatchObject({ kind: 'gauge', tap: 'sensor-hose', basis: 'vacuum' });
  expect('pressureKpa' in entry && entry.pressureKpa).toBeCloseTo(55.875, 3);
});

test.each([
  ['gauge manifold 16 inHg', { tap: 'manifold', basis: 'vacuum' }],
  ['gauge -0.5 bar', { basis: 'gauge', pressureKpa: -50 }],
  ['gauge 40 kPa abs', { basis: 'absolute', pressureKpa: 40 }],
  ['gauge 60 kPa gauge', { basis: 'gauge', pressureKpa: 60 }],
  ['scan 47 kPa', { kind: 'scan', measures: 'absolute-pressure', value: 47 }],
  ['baro 1009 mbar', { kind: 'ambient' }],
])('"%s" keeps its basis and place', (text, expected) => {
  expect(value(text)).toMatchObject(expected);
});

test('where gauges go on a service port, one counts up from there unless it says else', () => {
  const onPort = { ...none, tap: 'service-port', highestKpa: 3500 } as const;
  expect(value('gauge 1200 kPa', onPort)).toMatchObject({ tap: 'service-port', basis: 'gauge' });
  expect(value('gauge hose 40 kPa', onPort)).toMatchObject({ tap: 'sensor-hose', basis: 'vacuum' });
  expect(value('gauge port 900 kPa')).toMatchObject({ tap: 'service-port', basis: 'gauge' });
});

test('a bare pressure on a gauge takes the unit chosen for gauges', () => {
  const entry = value('gauge 10', { ...none, gaugeUnit: 'inHg' });
  expect('pressureKpa' in entry && entry.pressureKpa).toBeCloseTo(33.864, 3);
});

test.each([
  ['2.31', 'no-target'],
  ['plug 2.31', 'place-needs-wire'],
  ['sig plug', 'empty-reading'],
  ['sig plug 1.2k', 'wrong-quantity'],
  ['sig plug 1e9', 'not-a-number'],
  ['gauge -16 inHg vac', 'wrong-basis'],
  ['scan 16 inHg vac', 'wrong-basis'],
  ['', 'no-target'],
  ['constructor 2.31', 'no-target'],
  ['sig 2.31 toString', 'unknown-unit'],
  ['sig ret 0.5', 'two-targets'],
  ['gauge sig 16', 'two-targets'],
  ['scan gauge 47 kPa', 'wrong-basis'],
  ['sig 2 vac', 'wrong-basis'],
  ['gauge 1,013 mbar', 'two-readings'],
] as const)('"%s" is refused as %s', (text, code) => {
  expect(value(text)).toMatchObject({ code });
});

test.each([
  ['scan 12,5', 'position', 12.5],
  ['scan 12.5 %', 'position', 12.5],
  ['scan 1 rad', 'angle', 180 / Math.PI],
  ['scan 3.6 kg/h', 'air-flow', 1],
  ['live 2.4', 'air-flow', 2.4],
  ['scan 30 psi', 'gauge-pressure', 30 * 6.894757],
] as const)('live data "%s" of a sensor for %s is %d', (text, measures, expected) => {
  const entry = value(text, { ...none, measures });
  expect(entry).toMatchObject({ kind: 'scan', measures });
  expect('value' in entry && entry.value).toBeCloseTo(expected, 3);
});

test('a gauge beside a gauge-pressure sensor counts upwards, and may show more than a manifold holds', () => {
  const rail = { ...none, measures: 'gauge-pressure' as const, highestKpa: 200_000 };
  expect(value('gauge 150 MPa', rail)).toMatchObject({ basis: 'gauge', pressureKpa: 150_000 });
  expect(value('gauge 150 MPa')).toMatchObject({ code: 'value-out-of-range' });
});

test.each([
  ['scan 30 kPa', 'position', 'unknown-unit'],
  ['scan 900', 'position', 'value-out-of-range'],
  ['scan 30 kPa abs', 'gauge-pressure', 'wrong-basis'],
] as const)('"%s" of a sensor for %s is refused', (text, measures, code) => {
  expect(value(text, { ...none, measures })).toMatchObject({ code });
});

test('a second signal and a battery feed have names of their own, and 12 V on a feed is no slip', () => {
  expect(value('sig2 4.2')).toMatchObject({ lane: 'second-signal', place: 'plug', volts: 4.2 });
  expect(value('feed 12.4')).toMatchObject({ lane: 'battery-feed', warnings: [] });
  expect(value('sig 12.4')).toMatchObject({ warnings: [{ code: 'millivolts-suspected' }] });
});

test('“vacuum 16” is a gauge, whatever wire is in hand, and never 16 V on the signal', () => {
  const entry = value('vacuum 16', { ...none, gaugeUnit: 'inHg', selected: signalAtPlug });
  expect(entry).toMatchObject({ kind: 'gauge', basis: 'vacuum', tap: 'sensor-hose' });
  expect('pressureKpa' in entry && entry.pressureKpa).toBeCloseTo(54.18, 2);
  expect(value('vacuum 16', { ...none, measures: 'position', selected: signalAtPlug })).toMatchObject({
    code: 'no-target',
  });
});

test('a minus on a wire says what the reading is with the leads exchanged', () => {
  const entry = value('ref -5.01');
  expect('warnings' in entry && entry.warnings[0]?.message).toBe(
    'quantity.minus-sign-red-black-leads{volts: 5.01 V}',
  );
});
