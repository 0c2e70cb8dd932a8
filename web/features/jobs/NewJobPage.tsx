import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MuiLink from '@mui/material/Link';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { zodResolver } from '@hookform/resolvers/zod';
import { jobDetails, vehicle } from '@lettura/contract';
import { useEffect, useRef, useState } from 'react';
import { Controller, useForm } from 'react-hook-form';
import { useDispatch, useSelector } from 'react-redux';
import { Link, useNavigate } from 'react-router';
import { v7 } from 'uuid';
import { z } from 'zod';
import {
  useCreateJobMutation,
  useCreateVehicleMutation,
  useListSensorsQuery,
  useListVehiclesQuery,
} from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem, type RequestProblem } from '../../app/requestProblem.ts';
import { codesFromText } from '../../ui/codesFromText.ts';
import { AmbientFields, readAmbient, type AmbientText } from '../ambient/index.ts';
import { readingQueued } from '../outbox/index.ts';
import { newJobDraft } from './newJobDraft.ts';
import { PracticeForm } from './PracticeForm.tsx';

const form = z.object({
  vehicleName: vehicle.shape.name,
  complaint: jobDetails.shape.complaint,
  codes: codesFromText,
  history: jobDetails.shape.history,
  sensorId: z.string().min(1, 'Choose the sensor under test.'),
});

/** Opens a job in one page. The ambient pressure is asked for here, since every expectation needs it. */
export default function NewJobPage() {
  const { data: vehicles = [] } = useListVehiclesQuery();
  const { data: sensors = [] } = useListSensorsQuery();
  const units = useSelector(selectUnits);
  const [draft] = useState(() => newJobDraft.load());
  const { control, register, handleSubmit, formState, subscribe } = useForm({
    resolver: zodResolver(form),
    defaultValues: draft,
  });
  const [ambient, setAmbient] = useState<AmbientText>({
    source: 'barometer',
    pressure: '',
    altitude: '',
    unit: units.absolute,
  });
  const [ambientProblem, setAmbientProblem] = useState<string>();
  const [problem, setProblem] = useState<RequestProblem>();
  const [practice, setPractice] = useState(false);
  const [createVehicle] = useCreateVehicleMutation();
  const [createJob] = useCreateJobMutation();
  const dispatch = useDispatch();
  const navigate = useNavigate();
  // The same ids at every try: a request that did arrive the first time is then not made twice.
  const ids = useRef({ jobId: v7(), vehicleId: v7() });

  useEffect(() => {
    document.title = 'New job · Lettura';
    return subscribe({ formState: { values: true }, callback: ({ values }) => newJobDraft.save(values) });
  }, [subscribe]);

  const open = async (details: z.infer<typeof form>) => {
    const given = ambient.pressure || ambient.altitude ? readAmbient(ambient) : undefined;
    if (given && !given.ok) return setAmbientProblem(`${given.problem.message} ${given.problem.next}`);
    setAmbientProblem(undefined);
    setProblem(undefined);
    const { jobId, vehicleId } = ids.current;
    const known = vehicles.find(({ name }) => name === details.vehicleName);
    const openedAt = new Date().toISOString();
    try {
      const machine = known ?? (await createVehicle({ id: vehicleId, name: details.vehicleName }).unwrap());
      const { complaint, codes, history, sensorId } = details;
      await createJob({
        id: jobId,
        vehicleId: machine.id,
        sensorId,
        complaint,
        codes,
        history,
        openedAt,
      }).unwrap();
    } catch (error) {
      const failure = requestProblem(error);
      // A refused id means that another try under it had other words: the next try is a new record.
      if (failure.code === 'id-conflict') ids.current = { jobId: v7(), vehicleId: v7() };
      return setProblem(failure);
    }
    if (given) {
      const enteredText = [
        ambient.source,
        ambient.pressure,
        ambient.pressure && ambient.unit,
        ambient.altitude && `${ambient.altitude} m`,
      ]
        .filter(Boolean)
        .join(' ');
      dispatch(
        readingQueued({
          id: v7(),
          jobId,
          takenAt: openedAt,
          enteredText,
          kind: 'ambient',
          ambient: given.value,
        }),
      );
    }
    newJobDraft.clear();
    await navigate(`/jobs/${jobId}`);
  };

  const { errors, isSubmitting } = formState;
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title="New job" />
      <Box
        component="main"
        sx={{
          p: 2,
          my: 2,
          maxWidth: 860,
          mx: { xs: 2, md: 'auto' },
          display: 'grid',
          gap: 2,
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'sheet.rule',
          borderRadius: 1,
        }}
      >
        <FormControlLabel
          control={<Switch checked={practice} onChange={(event) => setPractice(event.target.checked)} />}
          label="Practise on the simulated machine, with a hidden fault"
        />
        {practice ? (
          <PracticeForm />
        ) : (
          <Box
            component="form"
            aria-label="New job"
            noValidate
            onSubmit={(event) => void handleSubmit(open)(event)}
            sx={{ display: 'grid', gap: 2 }}
          >
            <Controller
              name="vehicleName"
              control={control}
              render={({ field }) => (
                <Autocomplete
                  freeSolo
                  options={[...new Set(vehicles.map(({ name }) => name))]}
                  inputValue={field.value}
                  onInputChange={(_event, value) => field.onChange(value)}
                  renderInput={(params) => (
                    <TextField
                      {...params}
                      label="Vehicle or machine"
                      error={!!errors.vehicleName}
                      helperText={errors.vehicleName?.message}
                    />
                  )}
                />
              )}
            />
            <TextField
              label="Complaint"
              multiline
              minRows={2}
              {...register('complaint')}
              error={!!errors.complaint}
              helperText={errors.complaint?.message}
            />
            <TextField
              label="Codes, stored or pending"
              placeholder="P0107 P0108"
              {...register('codes')}
              error={!!errors.codes}
              helperText={errors.codes?.message ?? 'A code points to a circuit, not to a part.'}
            />
            <TextField label="What was replaced before, and by whom" multiline {...register('history')} />
            <Controller
              name="sensorId"
              control={control}
              render={({ field }) => (
                <TextField
                  select
                  label="Sensor under test"
                  {...field}
                  value={sensors.some(({ id }) => id === field.value) ? field.value : ''}
                  error={!!errors.sensorId}
                  helperText={
                    errors.sensorId?.message ?? (
                      <>
                        The maker’s data overrules these values. Not in the list?{' '}
                        <MuiLink component={Link} to="/sensors/new" color="inherit">
                          Add it from its points
                        </MuiLink>
                        ; what is typed here is kept.
                      </>
                    )
                  }
                >
                  {sensors.map(({ id, name, source }) => (
                    <MenuItem key={id} value={id}>
                      {name} ({source})
                    </MenuItem>
                  ))}
                </TextField>
              )}
            />
            <Box component="fieldset" sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1 }}>
              <Typography component="legend" sx={{ fontWeight: 700, px: 0.5 }}>
                Ambient pressure (can be given later)
              </Typography>
              <AmbientFields value={ambient} onChange={setAmbient} problem={ambientProblem} />
            </Box>
            {problem && (
              <Alert severity="error">
                {problem.message} {problem.next}
              </Alert>
            )}
            <Button type="submit" variant="contained" size="large" disabled={isSubmitting}>
              Open job
            </Button>
          </Box>
        )}
      </Box>
    </Box>
  );
}
