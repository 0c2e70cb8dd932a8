import type { Job, JobSummary, Vehicle } from '@lettura/contract';

/** Instead of the id of a machine that is known. */
export const ANOTHER_MACHINE = 'another';

export interface KnownMachine {
  vehicle: Vehicle;
  jobs: number;
  /** The newest of its jobs. */
  last: Job | undefined;
}

/** The machines that have this name, the one that was last worked on first: two may be called the same. */
export function knownMachines(
  name: string,
  vehicles: readonly Vehicle[],
  rows: readonly Pick<JobSummary, 'job'>[],
): KnownMachine[] {
  return vehicles
    .filter((vehicle) => vehicle.name === name.trim())
    .map((vehicle) => {
      const jobs = rows
        .map(({ job }) => job)
        .filter(({ vehicleId, deletedAt }) => vehicleId === vehicle.id && deletedAt === undefined)
        .toSorted((a, b) => b.openedAt.localeCompare(a.openedAt));
      return { vehicle, jobs: jobs.length, last: jobs[0] };
    })
    .sort((a, b) => (b.last?.openedAt ?? '').localeCompare(a.last?.openedAt ?? ''));
}

/** The one that was chosen; without a choice the one that was last worked on; undefined for another one. */
export const machineChosen = (known: readonly KnownMachine[], chosen: string): Vehicle | undefined =>
  chosen === ANOTHER_MACHINE
    ? undefined
    : (known.find(({ vehicle }) => vehicle.id === chosen) ?? known[0])?.vehicle;
