import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { machineById, MACHINES } from '@lettura/bench';
import { CASE_LETTERS } from '@lettura/contract';
import { familyOf } from '@lettura/core/machine/family';
import { useState } from 'react';
import { useNavigate } from 'react-router';
import { useCreateJobMutation, useCreateVehicleMutation, useListSensorsQuery } from '../../app/api.ts';
import { requestProblem, type RequestProblem } from '../../app/requestProblem.ts';
import { practiceJob } from './practiceJob.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { say, verbatim } from '@lettura/core/measure/message';
import { said, t } from '../../ui/words.ts';

/** Opens a job on the simulated machine, named by a letter so that its fault stays hidden. */
export function PracticeForm() {
  const [machineId, setMachineId] = useState(MACHINES[0]?.id ?? '');
  const [letter, setLetter] = useState<(typeof CASE_LETTERS)[number] | 'surprise'>('surprise');
  const [problem, setProblem] = useState<RequestProblem>();
  const { data: sensors = [] } = useListSensorsQuery();
  const [createVehicle] = useCreateVehicleMutation();
  const [createJob, { isLoading }] = useCreateJobMutation();
  const navigate = useNavigate();
  const start = async () => {
    const parts = practiceJob(machineById(machineId), letter, sensors);
    if (!parts)
      return setProblem({
        code: 'loading',
        message: say('app.sensors-still-loading'),
        next: say('app.try-again-moment'),
        passing: true,
      });
    try {
      await createVehicle(parts.vehicle).unwrap();
      await createJob(parts.job).unwrap();
    } catch (error) {
      return setProblem(requestProblem(error));
    }
    await navigate(`/jobs/${parts.job.id}`);
  };
  return (
    <Box
      component="form"
      aria-label={t('ui-jobs.practice')}
      onSubmit={(event) => {
        event.preventDefault();
        void start();
      }}
      sx={{ display: 'grid', gap: 2 }}
    >
      <Typography>{t('ui-jobs.machine-workshop-simulated-wire-wire')}</Typography>
      <TextField
        select
        label={t('ui-jobs.machine')}
        value={machineId}
        onChange={(event) => setMachineId(event.target.value)}
      >
        {MACHINES.map(({ id, name, sensor }) => (
          <MenuItem key={id} value={id}>
            {name} · {said(familyOf(sensor.family).words).toLowerCase()}
          </MenuItem>
        ))}
      </TextField>
      <TextField
        select
        label={t('ui-jobs.practice-case')}
        value={letter}
        onChange={(event) => setLetter(event.target.value as typeof letter)}
      >
        <MenuItem value="surprise">{t('ui-jobs.surprise-me')}</MenuItem>
        {CASE_LETTERS.map((name) => (
          <MenuItem key={name} value={name}>
            {t('ui-jobs.case', { name: verbatim(name) })}
          </MenuItem>
        ))}
      </TextField>
      {problem && (
        <Alert severity="error">
          <SaidProblem problem={problem} />
        </Alert>
      )}
      <Button type="submit" variant="contained" size="large" disabled={isLoading}>
        {t('ui-jobs.start-practice')}
      </Button>
    </Box>
  );
}
