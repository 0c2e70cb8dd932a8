import type { Vehicle } from '@lettura/contract';
import type { AmbientSource } from '@lettura/core/measure/quantity';
import { useRef, useState } from 'react';
import { useDispatch } from 'react-redux';
import { v7 } from 'uuid';
import { useCreateJobMutation, useCreateVehicleMutation } from '../../app/api.ts';
import { workedOnHere } from '../../app/jobsHere.ts';
import { requestProblem, type RequestProblem } from '../../app/requestProblem.ts';
import { readingQueued } from '../outbox/index.ts';
import type { NewJobDetails } from './newJobForm.ts';

export interface AmbientGiven {
  ambient: AmbientSource;
  enteredText: string;
}

/** Opens a job: its machine where it is new, the job itself, and the ambient pressure as the first line of its record. */
export function useOpenJob() {
  const [problem, setProblem] = useState<RequestProblem>();
  const [createVehicle] = useCreateVehicleMutation();
  const [createJob] = useCreateJobMutation();
  const dispatch = useDispatch();
  // The same ids at every try: a request that did arrive the first time is then not made twice.
  const ids = useRef({ jobId: v7(), vehicleId: v7() });

  /**
   * The id of the job, or nothing where the server refused; then `problem` says why.
   *
   * @param known the machine, where it is one that was here before
   */
  const open = async (
    { vehicleName, machine: _machine, litres, ...details }: NewJobDetails,
    known: Vehicle | undefined,
    given: AmbientGiven | undefined,
  ): Promise<string | undefined> => {
    setProblem(undefined);
    const { jobId, vehicleId } = ids.current;
    const openedAt = new Date().toISOString();
    try {
      const machine =
        known ??
        (await createVehicle({
          id: vehicleId,
          name: vehicleName,
          ...(litres === undefined ? {} : { displacementLitres: litres }),
        }).unwrap());
      // Kept with the job as well: the machine may have been known before without it.
      const displacement = litres === undefined ? {} : { displacementLitres: litres };
      await createJob({ id: jobId, vehicleId: machine.id, ...details, ...displacement, openedAt }).unwrap();
    } catch (error) {
      const failure = requestProblem(error);
      // A refused id means that another try under it had other words: the next try is a new record.
      if (failure.code === 'id-conflict') ids.current = { jobId: v7(), vehicleId: v7() };
      setProblem(failure);
      return undefined;
    }
    workedOnHere(jobId);
    if (given) dispatch(readingQueued({ id: v7(), jobId, takenAt: openedAt, kind: 'ambient', ...given }));
    return jobId;
  };
  return { open, problem };
}
