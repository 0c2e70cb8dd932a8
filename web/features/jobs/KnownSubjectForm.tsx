import type { Job, JobSummary, Sensor, Vehicle } from '@lettura/contract';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { v7 } from 'uuid';
import { z } from 'zod';
import { useChangeSubjectMutation, useCreateVehicleMutation } from '../../app/api.ts';
import { requestProblem, type RequestProblem } from '../../app/requestProblem.ts';
import { ownDraft } from '../../app/stored.ts';
import { useStored } from '../../app/useStored.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { ANOTHER_MACHINE, knownMachines, machineChosen } from './knownMachines.ts';
import { MachineChoice } from './MachineChoice.tsx';
import { SensorChoice } from './SensorChoice.tsx';

export interface JobSubjectProps {
  job: Job;
  sensor: Sensor;
  vehicle: Vehicle;
}

/** What is being chosen outlives a change of section and a reload; what is not touched is the job's own. */
const subjectDraft = z.object({
  name: z.string().optional(),
  machine: z.string().optional(),
  sensorId: z.string().optional(),
});
const UNTOUCHED: z.infer<typeof subjectDraft> = {};
export const draftOf = (jobId: string) => ownDraft(`lettura.subject-draft.${jobId}`, subjectDraft, UNTOUCHED);

interface Known {
  vehicles: readonly Vehicle[];
  jobs: readonly JobSummary[];
  sensors: readonly Sensor[];
}

export function KnownSubjectForm({ job, sensor, vehicle, vehicles, jobs, sensors }: JobSubjectProps & Known) {
  const [draft, setDraft, forget] = useStored(draftOf(job.id), UNTOUCHED);
  const { name = vehicle.name, machine = vehicle.id, sensorId = sensor.id } = draft;
  const change = (part: typeof draft) => setDraft({ ...draft, ...part });
  const [problem, setProblem] = useState<RequestProblem>();
  const [createVehicle] = useCreateVehicleMutation();
  const [changeSubject, { isLoading, isSuccess }] = useChangeSubjectMutation();
  // The same machine at every try.
  const newVehicleId = useRef(v7());
  // An older version than the library offers is the job's own all the same.
  const offered = sensors.some(({ id }) => id === sensor.id) ? sensors : [sensor, ...sensors];
  const known = knownMachines(name, vehicles, jobs);
  const chosen = machineChosen(known, machine);
  const isNew = name.trim() !== '' && chosen === undefined;
  const isSame = sensorId === sensor.id && (chosen?.id === vehicle.id || name.trim() === '');
  const save = async () => {
    setProblem(undefined);
    try {
      const of = isNew
        ? await createVehicle({ id: newVehicleId.current, name: name.trim() }).unwrap()
        : (chosen ?? vehicle);
      newVehicleId.current = v7();
      await changeSubject({
        jobId: job.id,
        change: {
          vehicleId: of.id,
          sensorId: sensorId === '' ? undefined : sensorId,
          revision: job.revision,
        },
      }).unwrap();
      forget();
    } catch (error) {
      setProblem(requestProblem(error));
    }
  };
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5, pt: 1 }}>
      <Typography variant="body2">{t('ui-jobs.other-subject-keeps')}</Typography>
      <Autocomplete
        freeSolo
        options={[...new Set(vehicles.map(({ name: one }) => one))]}
        inputValue={name}
        onInputChange={(_event, value) => change({ name: value })}
        renderInput={(params) => <TextField {...params} label={t('ui-jobs.vehicle-machine')} />}
      />
      {known.length > (name === vehicle.name ? 1 : 0) && (
        <MachineChoice
          known={known}
          value={machine === ANOTHER_MACHINE ? machine : (chosen?.id ?? '')}
          onChoose={(id) => change({ machine: id })}
        />
      )}
      <SensorChoice
        sensors={offered}
        sensorId={sensorId}
        problem={undefined}
        onChoose={(id) => change({ sensorId: id })}
        onBlur={() => {}}
      />
      {problem && (
        <Alert severity="error">
          <SaidProblem problem={problem} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
        <Button variant="outlined" color="inherit" disabled={isSame || isLoading} onClick={() => void save()}>
          {t('ui-jobs.say-other-subject')}
        </Button>
        {isSuccess && isSame && !problem && <span role="status">{t('ui-jobs.subject-changed')}</span>}
      </Box>
    </Box>
  );
}
