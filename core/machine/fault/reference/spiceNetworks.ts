import { BATTERY_NEGATIVE, Wiring } from '../../wiring/index.ts';
import { EXAMPLE_SENSORS } from '../../wiring/exampleSensors.ts';
import { allFaults, effectsOf, situate, type Fault } from '../index.ts';

export interface ReferenceNetwork {
  name: string;
  wiring: Wiring;
}

const METER_OHMS = 10e6;
/** Key, plug, and how far through its range the quantity stands. */
const SITUATIONS = [
  { keyOn: true, plugged: true, at: 0.1 },
  { keyOn: true, plugged: true, at: 0.8 },
  { keyOn: true, plugged: false, at: 0.5 },
  { keyOn: true, plugged: true, at: 1.1 },
  { keyOn: false, plugged: true, at: 0.5 },
] as const;
/** Both ends of a size range and its middle, one after the other. */
const SIZES = [0, 0.5, 1];

/**
 * Every fault of every example body, each in one situation of several and at one size of three in turn, with a meter of
 * 10 MΩ on the signal at the plug; and every body sound in every situation.
 */
export function referenceNetworks(): ReferenceNetwork[] {
  return EXAMPLE_SENSORS.flatMap((sensor) => {
    const { profile } = sensor;
    const subject = { family: sensor.family, wiring: sensor.wiring };
    const cases: { faults: Fault[]; situation: number }[] = [
      ...SITUATIONS.map((_, situation) => ({ faults: [], situation })),
      ...SIZES.flatMap((size, s) =>
        allFaults(subject, size)
          .filter((_, i) => i % SIZES.length === s)
          .map((fault, i) => ({ faults: [fault], situation: i % SITUATIONS.length })),
      ),
    ];
    return cases.map(({ faults, situation }) => {
      const { keyOn, plugged, at } = SITUATIONS[situation]!;
      const wiring = new Wiring(sensor.wiring);
      wiring.network.addResistor(wiring.node('signal', 'plug'), BATTERY_NEGATIVE, METER_OHMS);
      const { lowest, highest } = profile;
      situate(wiring, sensor, effectsOf(faults), {
        keyOn,
        plugged,
        trueValue: lowest + at * (highest - lowest),
        restingValue: lowest,
        celsius: 35,
      });
      const what = faults.map(({ kind, site, size }) => `${kind.id} ${site.id} ${size.toPrecision(3)}`);
      return { name: [sensor.name, `situation ${situation}`, ...what].join(' · '), wiring };
    });
  });
}
