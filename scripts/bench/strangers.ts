import { StrangeTechnician, Stranger } from '@lettura/strangers';
import { isPulses } from '@lettura/core/machine/places';
import { ambientFrom } from '@lettura/core/measure/quantity';
import { COMMON_METER } from '@lettura/core/measure/uncertainty';
import { commonGauge, familyOf } from '@lettura/core/machine/family';
import { USUAL_WEIGHTS } from '@lettura/core/judge/priors';
import { drivenStates, Weigher } from '@lettura/core/judge/weighing';
import { workThrough } from './workThrough.ts';
import { type Patient, type WorkedCase } from './patient.ts';

/** Of the newest makes: each takes some hundred megabytes. */
const weighers = new Map<string, Weigher>();
const KEPT = 4;

/** A machine of which the weighing knows what is printed on its sensor, and nothing else. */
export function strangerAsPatient(seed: number): Patient {
  const one = Stranger.drawn(seed);
  const technician = new StrangeTechnician(one, seed);
  const { sensor, ill } = one;
  const { family, profile, companion, wires, litres } = sensor;
  const { signal, 'second-signal': second, apart } = familyOf(family).codes;
  const named = {
    ...(signal && { low: signal[0], high: signal[1] }),
    ...(second && { secondLow: second[0], secondHigh: second[1] }),
    ...(apart && { pair: apart }),
  };
  const ambient = ambientFrom({ source: 'barometer', stationKpaAbs: technician.stationKpaAbs });
  const opened = {
    family,
    profile,
    companion,
    ambient: ambient.ok ? { ...ambient.value, airCelsius: one.weather.celsius } : undefined,
    readings: [],
    isolation: [],
    observations: [],
    codes: technician.codes(named, drivenStates(sensor)),
    starting: USUAL_WEIGHTS,
    sweeps: [],
    displacementLitres: litres,
    meter: COMMON_METER,
    gauge: commonGauge(family),
  };
  const key = `${one.make} ${profile.measures === 'absolute-pressure' ? Math.round(technician.stationKpaAbs) : ''}`;
  const weigher = weighers.get(key) ?? new Weigher(opened, wires);
  // The newest stands last.
  weighers.delete(key);
  weighers.set(key, weigher);
  for (const old of [...weighers.keys()].slice(0, -KEPT)) weighers.delete(old);
  return {
    machine: `stranger ${seed}`,
    family,
    opened,
    wires,
    weigher,
    // None of them sends its value: nobody asks for a capture of its line, or counts its pulses.
    read: ({ target, state }, tick) =>
      target.kind === 'capture' || isPulses(target) ? undefined : technician.read({ target, state }, tick),
    fault: ill.name,
    classTrue: ill.class,
    outside: ill.outside ?? false,
    isRight: ({ cause }) => ill.isAt(cause),
  };
}

/**
 * So many strangers, each worked through by the readings that the weighing chooses: make by make, since what is worked out for a sensor
 * does for the next of its make.
 */
export function* eachStranger(count: number, first = 1): Generator<WorkedCase> {
  const seeds = Array.from({ length: count }, (_, i) => first + i);
  const makes = new Map(seeds.map((seed) => [seed, Stranger.drawn(seed).make]));
  seeds.sort((a, b) => makes.get(a)!.localeCompare(makes.get(b)!) || a - b);
  for (const seed of seeds) yield workThrough(strangerAsPatient(seed));
}
