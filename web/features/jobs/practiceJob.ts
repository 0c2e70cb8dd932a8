import type { BenchMachine } from '@lettura/bench';
import { CASE_LETTERS, type NewJob, type Sensor, type Vehicle } from '@lettura/contract';
import { familyOf } from '@lettura/core/machine/family';
import { v7 } from 'uuid';
import { said } from '../../ui/words.ts';

/** A job on a simulated machine; `undefined` while its sensor is not known. */
export function practiceJob(
  machine: BenchMachine,
  letter: (typeof CASE_LETTERS)[number] | 'surprise',
  sensors: readonly Sensor[],
): { vehicle: Vehicle; job: NewJob } | undefined {
  const sensor = sensors.find(({ name }) => name === machine.sensor.name);
  if (!sensor) return undefined;
  const [pick, seed] = crypto.getRandomValues(new Uint32Array(2)) as unknown as [number, number];
  const surprise = letter === 'surprise';
  const caseLetter = surprise
    ? (CASE_LETTERS[pick % CASE_LETTERS.length] as (typeof CASE_LETTERS)[number])
    : letter;
  const vehicle = { id: v7(), name: `${machine.name} (simulated)`, ...litresOf(machine) };
  const job = {
    id: v7(),
    vehicleId: vehicle.id,
    sensorId: sensor.id,
    complaint: `Practice ${surprise ? 'case, unnamed' : `case ${letter}`}: the workshop does not trust the ${said(familyOf(machine.sensor.family).words).toLowerCase()}.`,
    codes: [],
    history: '',
    openedAt: new Date().toISOString(),
    bench: { machineId: machine.id, caseLetter, seed: seed >>> 1 },
  };
  return { vehicle, job };
}

const litresOf = ({ litres }: BenchMachine) => (litres === undefined ? {} : { displacementLitres: litres });
