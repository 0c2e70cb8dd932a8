import type { Lane } from '../../machine/places/index.ts';
import { situate } from '../../machine/fault/index.ts';
import { isSent, valueAtNominal } from '../../measure/transfer/index.ts';
import { Wiring, wiringFor } from '../../machine/wiring/index.ts';
import type { IsolatedSensor } from './isolatedSensor.ts';

/** What ohms in one wire do, in volts and in the unit of what the sensor measures. */
export interface Shift {
  ohms: number;
  /** Through the wire, with the ohms in it. */
  milliamps: number;
  /** Lost over the ohms. */
  dropVolts: number;
  /** What live data is off by: signed, at `atValue`. */
  shift: number;
  atValue: number;
}

const ROOM_CELSIUS = 20;

/**
 * What so many ohms more in a wire make of the reading, on the usual circuit of such a sensor.
 *
 * @param atValue where the sensor stands, in its measurand's unit; the middle of its range unless given
 */
export function shiftByOhms(
  sensor: IsolatedSensor,
  lane: Lane,
  ohms: number,
  atValue: number = (sensor.profile.lowest + sensor.profile.highest) / 2,
): Shift {
  const wiring = new Wiring(wiringFor(sensor));
  const { network, spec } = wiring;
  const solve = (more: number) => {
    situate(wiring, sensor, [], {
      keyOn: true,
      plugged: true,
      trueValue: atValue,
      restingValue: atValue,
      celsius: ROOM_CELSIUS,
    });
    if (more > 0) wiring.addOhms(`${lane}:first`, more);
    network.solve();
    const amps =
      Math.abs(network.voltsBetween(wiring.node(lane, 'unit'), wiring.node(lane, 'connector'))) /
      (spec.segmentOhms + more);
    return { amps, value: valueAtNominal(wiring.inputVolts('signal'), sensor.profile) };
  };
  const sound = solve(0);
  const found = solve(ohms);
  return {
    ohms,
    milliamps: found.amps * 1000,
    dropVolts: Number.isFinite(ohms) ? found.amps * ohms : NaN,
    // What is sent in telegrams arrives as it was sent, or not at all.
    shift: isSent(sensor.profile) ? 0 : found.value - sound.value,
    atValue,
  };
}

/** The ohms that a drop found under load stands for, with the current that the wire usually carries. */
export function ohmsFromDrop(sensor: IsolatedSensor, lane: Lane, dropVolts: number): number {
  // The more is lost, the less flows: a few steps settle it for the ohms that a reading survives.
  let ohms = 0;
  for (let step = 0; step < STEPS; step++) {
    const { milliamps } = shiftByOhms(sensor, lane, ohms);
    if (milliamps === 0) return Infinity;
    ohms = Math.abs(dropVolts) / (milliamps / 1000);
  }
  return ohms;
}
const STEPS = 6;
