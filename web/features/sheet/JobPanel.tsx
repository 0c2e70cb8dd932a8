import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { jobDetails, type Job, type Sensor } from '@lettura/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useForm } from 'react-hook-form';
import { z } from 'zod';
import { useChangeJobMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { codesFromText } from '../../ui/codesFromText.ts';

const form = z.object({
  complaint: jobDetails.shape.complaint,
  codes: codesFromText,
  history: jobDetails.shape.history,
});

/** Complaint, codes and what was done before. */
export function JobPanel({ job, sensor }: { job: Job; sensor: Sensor }) {
  const { register, handleSubmit, formState } = useForm({
    resolver: zodResolver(form),
    values: { complaint: job.complaint, codes: job.codes.join(', '), history: job.history },
    resetOptions: { keepDirtyValues: true },
  });
  const [change, { error, isLoading, isSuccess }] = useChangeJobMutation();
  const problem = error ? requestProblem(error) : undefined;
  const { errors } = formState;
  return (
    <Box
      component="form"
      aria-label="Job details"
      noValidate
      onSubmit={(event) =>
        void handleSubmit((details) =>
          change({ jobId: job.id, change: { ...details, revision: job.revision } }),
        )(event)
      }
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
      {problem && (
        <Alert severity="error">
          {problem.message} {problem.next}
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={isLoading}>
          Save job details
        </Button>
        {isSuccess && !formState.isDirty && <span role="status">Saved</span>}
      </Box>
    </Box>
  );
}
