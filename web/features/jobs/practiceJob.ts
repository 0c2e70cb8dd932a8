import type { BenchMachine } from '@lettura/bench';
import { CASE_LETTERS, type NewJob, type Sensor, type Vehicle } from '@lettura/contract';
import { familyOf } from '@lettura/core/machine/family';
import { v7 } from 'uuid';
import { said, t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

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
    complaint: t('ui-jobs.practice-workshop-does-not-trust', {
      which: surprise ? t('ui-jobs.case-unnamed') : t('ui-jobs.case-2', { letter: verbatim(letter) }),
      words: said(familyOf(machine.sensor.family).words).toLowerCase(),
    }),
    codes: [],
    history: '',
    openedAt: new Date().toISOString(),
    bench: { machineId: machine.id, caseLetter, seed: seed >>> 1 },
  };
  return { vehicle, job };
}

const litresOf = ({ litres }: BenchMachine) => (litres === undefined ? {} : { displacementLitres: litres });
