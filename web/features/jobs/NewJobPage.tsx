import { familyOf } from '@lettura/core/machine/family';
import Alert from '@mui/material/Alert';
import Autocomplete from '@mui/material/Autocomplete';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect, useState } from 'react';
import { Controller, useForm, useWatch } from 'react-hook-form';
import { useSelector } from 'react-redux';
import { useNavigate, useSearchParams } from 'react-router';
import { useListJobsQuery, useListSensorsQuery, useListVehiclesQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import {
  AmbientFields,
  ambientInText,
  emptyAmbient,
  readAmbient,
  type AmbientText,
} from '../ambient/index.ts';
import { ANOTHER_MACHINE, knownMachines, machineChosen } from './knownMachines.ts';
import { MachineChoice } from './MachineChoice.tsx';
import { newJobDraft } from './newJobDraft.ts';
import { newJobForm, type NewJobDetails } from './newJobForm.ts';
import { PracticeForm } from './PracticeForm.tsx';
import { SensorChoice } from './SensorChoice.tsx';
import { useOpenJob } from './useOpenJob.ts';
import { codesNow } from '@lettura/core/record/onBoard';
import { VehiclePanel } from '../onBoard/index.ts';
import { CodesFold } from '../../ui/CodesRead.tsx';
import { codesFromText, withCodes } from '../../ui/codesFromText.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { refused, said, t } from '../../ui/words.ts';
import { problemSaid } from '@lettura/core/measure/problem';

/** Opens a job in one page. The ambient pressure is asked for here, since every expectation needs it. */
export default function NewJobPage() {
  const { data: vehicles = [] } = useListVehiclesQuery();
  const { data: jobs } = useListJobsQuery();
  const { data: sensors = [] } = useListSensorsQuery();
  const units = useSelector(selectUnits);
  const [draft] = useState(() => newJobDraft.load());
  const { control, register, handleSubmit, formState, getValues, setValue, subscribe } = useForm({
    resolver: zodResolver(newJobForm),
    defaultValues: draft,
  });
  const [ambient, setAmbient] = useState<AmbientText>(() => emptyAmbient(units.absolute));
  const [ambientProblem, setAmbientProblem] = useState<string>();
  const [search] = useSearchParams();
  const [practice, setPractice] = useState(search.has('practise'));
  const { open, problem } = useOpenJob();
  const navigate = useNavigate();

  useEffect(() => {
    document.title = t('ui-jobs.new-job-lettura');
    return subscribe({ formState: { values: true }, callback: ({ values }) => newJobDraft.save(values) });
  }, [subscribe]);

  const submit = async (details: NewJobDetails) => {
    const typed = ambient.pressure || ambient.altitude || ambient.air;
    const read = typed ? readAmbient(ambient) : undefined;
    setAmbientProblem(read && !read.ok ? said(problemSaid(read.problem)) : undefined);
    if (read && !read.ok) return;
    const machine = machineChosen(knownMachines(details.vehicleName, vehicles, jobs ?? []), details.machine);
    const jobId = await open(
      details,
      machine,
      read && { ambient: read.value, enteredText: ambientInText(ambient) },
    );
    if (jobId === undefined) return;
    newJobDraft.clear();
    await navigate(`/jobs/${jobId}`);
  };

  const { errors, isSubmitting } = formState;
  const [sensorId, codes, name, machine] = useWatch({
    control,
    name: ['sensorId', 'codes', 'vehicleName', 'machine'],
  });
  const typedCodes = codesFromText.safeParse(codes);
  // Before its jobs are known, nothing is said of a machine.
  const known = jobs ? knownMachines(name, vehicles, jobs) : [];
  const chosen = sensors.find(({ id }) => id === sensorId);
  const flowMeter = chosen && familyOf(chosen.family).needs === 'displacement';
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-jobs.new-job')} />
      <Box
        component="main"
        sx={{
          p: 2,
          my: 2,
          maxWidth: 860,
          mx: { xs: 2, md: 'auto' },
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          gap: 2,
          bgcolor: 'background.paper',
          border: 1,
          borderColor: 'sheet.rule',
          borderRadius: 1,
        }}
      >
        <FormControlLabel
          control={<Switch checked={practice} onChange={(event) => setPractice(event.target.checked)} />}
          label={t('ui-jobs.practise-simulated-machine-hidden-fault')}
        />
        {practice ? (
          <PracticeForm />
        ) : (
          <Box
            component="form"
            aria-label={t('ui-jobs.new-job')}
            noValidate
            onSubmit={(event) => void handleSubmit(submit)(event)}
            sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}
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
                      label={t('ui-jobs.vehicle-machine')}
                      error={!!errors.vehicleName}
                      helperText={refused(errors.vehicleName?.message)}
                    />
                  )}
                />
              )}
            />
            {known.length > 0 && (
              <MachineChoice
                known={known}
                value={machine === ANOTHER_MACHINE ? machine : (machineChosen(known, machine)?.id ?? '')}
                onChoose={(chosen) => setValue('machine', chosen)}
              />
            )}
            <TextField
              label={t('ui-jobs.complaint')}
              multiline
              minRows={2}
              {...register('complaint')}
              error={!!errors.complaint}
              helperText={refused(errors.complaint?.message)}
            />
            <TextField
              label={t('ui-jobs.codes-stored-pending')}
              placeholder="P0107 P0108"
              // A value may come from the vehicle, unseen by the label that would lie on it.
              slotProps={{ inputLabel: { shrink: true } }}
              {...register('codes')}
              error={!!errors.codes}
              helperText={refused(errors.codes?.message) ?? t('ui-jobs.code-points-circuit-not-part')}
            />
            <CodesFold codes={typedCodes.success ? typedCodes.data : []} />
            <VehiclePanel
              disabled={false}
              takes={t('ui-on-board.take-these-codes')}
              onTake={(units) =>
                setValue('codes', withCodes(getValues('codes'), codesNow(units)), { shouldDirty: true })
              }
            />
            <TextField label={t('ui-jobs.replaced-before-whom')} multiline {...register('history')} />
            <Controller
              name="sensorId"
              control={control}
              render={({ field }) => (
                <SensorChoice
                  sensors={sensors}
                  sensorId={field.value}
                  problem={refused(errors.sensorId?.message)}
                  onChoose={field.onChange}
                  onBlur={field.onBlur}
                />
              )}
            />
            {flowMeter && (
              <TextField
                label={t('ui-jobs.engine-displacement-l-if-known')}
                {...register('litres')}
                error={!!errors.litres}
                helperText={refused(errors.litres?.message) ?? t('ui-jobs.flow-meter-judged-kept-job')}
              />
            )}
            <Box
              component="fieldset"
              sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, minWidth: 0 }}
            >
              <Typography component="legend" sx={{ fontWeight: 700, px: 0.5 }}>
                {t('ui-jobs.ambient-pressure-can-given-later')}
              </Typography>
              <AmbientFields value={ambient} onChange={setAmbient} problem={ambientProblem} />
            </Box>
            {problem && (
              <Alert severity="error">
                <SaidProblem problem={problem} />
              </Alert>
            )}
            <Button type="submit" variant="contained" size="large" disabled={isSubmitting}>
              {t('ui-jobs.open-job')}
            </Button>
          </Box>
        )}
      </Box>
    </Box>
  );
}
