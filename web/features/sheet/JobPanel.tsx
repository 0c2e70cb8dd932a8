import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  detailsOf,
  jobDetails,
  pins as pinsSchema,
  type Job,
  type Pin,
  type Sensor,
} from '@lettura/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useState } from 'react';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { useChangeJobMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { codesFromText } from '../../ui/codesFromText.ts';
import { PinsEditor } from '../sensors/index.ts';

const form = z.object({
  complaint: jobDetails.shape.complaint,
  codes: codesFromText,
  history: jobDetails.shape.history,
});

/** Complaint, codes, what was done before, and the plug as it is on this vehicle. */
export function JobPanel({ job, sensor }: { job: Job; sensor: Sensor }) {
  const [pins, setPins] = useState<Pin[]>();
  const shownPins = pins ?? job.pins ?? sensor.pins;
  const checkedPins = pinsSchema.safeParse(shownPins);
  const pinsProblem = checkedPins.success ? undefined : checkedPins.error.issues[0]?.message;
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(form),
    values: { complaint: job.complaint, codes: job.codes.join(', '), history: job.history },
    resetOptions: { keepDirtyValues: true },
  });
  const [change, { error, isLoading, isSuccess }] = useChangeJobMutation();
  const problem = error ? requestProblem(error) : undefined;
  const { errors } = formState;
  const save = async (details: z.output<typeof form>) => {
    if (!checkedPins.success) return;
    // The sensor's own list is not copied onto the job: only what differs here is kept with it.
    const own = JSON.stringify(checkedPins.data) === JSON.stringify(sensor.pins);
    const saved = await change({
      jobId: job.id,
      change: {
        ...detailsOf(job),
        ...details,
        pins: own ? undefined : checkedPins.data,
        revision: job.revision,
      },
    });
    if (!('error' in saved)) setPins(undefined);
  };
  return (
    <Box
      component="form"
      aria-label="Job details"
      noValidate
      onSubmit={(event) => void handleSubmit((details) => save(details))(event)}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 720 }}
    >
      <Typography variant="body2">
        Sensor: <strong>{sensor.name}</strong> ({sensor.source}). The maker’s data overrules these values.
      </Typography>
      <TextField
        label="Complaint"
        multiline
        {...register('complaint')}
        error={!!errors.complaint}
        helperText={errors.complaint?.message}
      />
      <TextField
        label="Codes, stored or pending"
        {...register('codes')}
        error={!!errors.codes}
        helperText={errors.codes?.message ?? 'A code points to a circuit, not to a part.'}
      />
      <TextField label="What was replaced before, and by whom" multiline {...register('history')} />
      <Box component="fieldset" sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, minWidth: 0 }}>
        <Typography component="legend" sx={{ fontWeight: 700, px: 0.5 }}>
          Plug on this vehicle{job.pins ? ', changed from the sensor’s list' : ''}
        </Typography>
        <Typography variant="body2" sx={{ mb: 1 }}>
          Diagrams can be wrong: write down what the plug shows. The library keeps its own list.
        </Typography>
        <PinsEditor pins={shownPins} onChange={setPins} problem={pinsProblem} />
        {(pins ?? job.pins) && (
          <Button color="inherit" onClick={() => setPins([...sensor.pins])}>
            Back to the sensor’s list
          </Button>
        )}
      </Box>
      {problem && (
        <Alert severity="error">
          {problem.message} {problem.next}
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Save job details
        </Button>
        {isSuccess && !formState.isDirty && pins === undefined && <span role="status">Saved</span>}
      </Box>
    </Box>
  );
}
