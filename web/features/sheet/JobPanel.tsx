import { familyOf } from '@lettura/core/machine/family';
import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MuiLink from '@mui/material/Link';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  detailsOf,
  jobDetails,
  PIN_WIRES,
  pins as pinsSchema,
  type Job,
  type Sensor,
  type Vehicle,
} from '@lettura/contract';
import { zodResolver } from '@hookform/resolvers/zod';
import { useEffect } from 'react';
import { useForm } from 'react-hook-form';
import { Link } from 'react-router';
import { z } from 'zod';
import { useChangeJobMutation } from '../../app/api.ts';
import { ownDraft } from '../../app/stored.ts';
import { useStored } from '../../app/useStored.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { codesFromText, withCodes } from '../../ui/codesFromText.ts';
import { codesNow } from '@lettura/core/record/onBoard';
import type { FollowUp } from '@lettura/core/record/followUp';
import { workSaid } from '@lettura/core/record/workDone';
import { JobSubject } from '../jobs/index.ts';
import { VehiclePanel } from '../onBoard/index.ts';
import type { WorkToRecord } from './workDraft.ts';
import { PinsEditor } from '../sensors/index.ts';
import { CodesFold } from '../../ui/CodesRead.tsx';
import { SaveJob } from '../../ui/SaveJob.tsx';
import { SaidProblem } from '../../ui/Said.tsx';
import { refused, t, titled } from '../../ui/words.ts';

/** As many as a job keeps. */
const MOST_CODES = 20;
const LITRES = { lowest: 0.05, highest: 100, unit: 'L' };

const form = z.object({
  complaint: jobDetails.shape.complaint,
  codes: codesFromText,
  history: jobDetails.shape.history,
  /** Asked for where the family is judged by it. */
  litres: z
    .string()
    .refine(
      (text) => text.trim() === '' || fieldNumber(text, LITRES).ok,
      t('ui-sheet.enter-litres-example-1-6'),
    ),
});

const COLUMN = { display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 } as const;

/** A value may come from elsewhere, unseen by the label that would lie on it. */
const ABOVE = { inputLabel: { shrink: true } } as const;

const FIELDS = ['complaint', 'codes', 'history', 'litres'] as const;
const jobDraft = (jobId: string) =>
  ownDraft(`lettura.job-draft.${jobId}`, z.partialRecord(z.enum(FIELDS), z.string()), {});

/** The plug and the tick as they are being changed: nothing of it is checked before it is saved. */
const besides = z.object({
  pins: z.array(z.object({ terminal: z.string(), wire: z.enum(PIN_WIRES), colour: z.string() })).optional(),
  leftOut: z.boolean().optional(),
});
type Besides = z.infer<typeof besides>;
const NOTHING: Besides = {};
const besidesDraft = (jobId: string) => ownDraft(`lettura.job-besides-draft.${jobId}`, besides, NOTHING);

export interface JobPanelProps {
  job: Job;
  sensor: Sensor;
  vehicle: Vehicle;
  /** Entries of this job that wait in this browser. */
  unsent: number;
  onFollowUp: (followUp: FollowUp) => void;
  onWork: (work: WorkToRecord) => void;
}

/** Complaint, codes, what was done before, and the plug as it is on this vehicle. */
export function JobPanel({ job, sensor, vehicle, unsent, onFollowUp, onWork }: JobPanelProps) {
  const [{ pins, leftOut }, setBesides, forgetBesides] = useStored(besidesDraft(job.id), NOTHING);
  const shownPins = pins ?? job.pins ?? sensor.pins;
  const checkedPins = pinsSchema.safeParse(shownPins);
  const pinsProblem = checkedPins.success ? undefined : refused(checkedPins.error.issues[0]?.message);
  const [change, { error, isLoading, isSuccess, reset: forget }] = useChangeJobMutation();
  const problem = error ? requestProblem(error) : undefined;
  const onRecord = {
    complaint: job.complaint,
    codes: job.codes.join(', '),
    history: job.history,
    litres: String(job.displacementLitres ?? vehicle.displacementLitres ?? ''),
  };
  const kept = jobDraft(job.id);
  const { register, handleSubmit, formState, getValues, setValue, subscribe, reset } = useForm({
    resolver: zodResolver(form),
    values: onRecord,
    resetOptions: { keepDirtyValues: true },
  });
  // What was being typed outlives a change of tab and a reload, until it is saved or given up.
  useEffect(() => {
    const draft = jobDraft(job.id);
    for (const [name, text] of Object.entries(draft.load()))
      setValue(name as keyof typeof onRecord, text, { shouldDirty: true });
    return subscribe({
      formState: { values: true, dirtyFields: true },
      callback: ({ values, dirtyFields }) =>
        draft.save(
          Object.fromEntries(
            FIELDS.filter((name) => dirtyFields?.[name]).map((name) => [name, String(values[name])]),
          ),
        ),
    });
  }, [job.id, setValue, subscribe]);
  const { errors } = formState;
  const save = async ({ litres, ...details }: z.output<typeof form>) => {
    if (!checkedPins.success) return;
    const displacement = fieldNumber(litres, LITRES);
    // The sensor's own list is not copied onto the job: only what differs here is kept with it.
    const own = JSON.stringify(checkedPins.data) === JSON.stringify(sensor.pins);
    const saved = await change({
      jobId: job.id,
      change: {
        ...detailsOf(job),
        ...details,
        displacementLitres: displacement.ok ? displacement.value : undefined,
        pins: own ? undefined : checkedPins.data,
        notAsKnownGood: (leftOut ?? job.notAsKnownGood) ? true : undefined,
        revision: job.revision,
      },
    });
    if ('error' in saved) return;
    forgetBesides();
    kept.clear();
    reset({
      complaint: details.complaint,
      codes: details.codes.join(', '),
      history: details.history,
      litres,
    });
  };
  /** With those that are there already; where somebody is typing them, they are added to what is typed. */
  const takeCodes = async (codes: readonly string[]) => {
    const all = [...new Set([...job.codes, ...codes])];
    // More than a job keeps: somebody has to choose.
    if (formState.dirtyFields.codes || all.length > MOST_CODES) {
      setValue('codes', withCodes(getValues('codes'), codes), { shouldDirty: true });
      return;
    }
    if (all.length > job.codes.length)
      await change({ jobId: job.id, change: { ...detailsOf(job), codes: all, revision: job.revision } });
  };
  const takeTheirs = () => {
    forgetBesides();
    kept.clear();
    forget();
    reset(onRecord, { keepDirtyValues: false });
  };
  /** Another place has saved something else meanwhile: what stands there now, beside what is typed here. */
  const theirs = (name: keyof typeof onRecord): string =>
    problem?.code === 'job-changed' && formState.dirtyFields[name]
      ? t('ui-sheet.record-now', { onRecord: onRecord[name] })
      : '';
  return (
    <Box sx={{ ...COLUMN, maxWidth: 720 }}>
      <Typography variant="body2">
        {t('ui-sheet.sensor')} <strong>{sensor.name}</strong>
        {t('ui-sheet.version-makers-data-overrules-these', {
          version: sensor.version,
          source: sensor.source,
        })}
      </Typography>
      <MuiLink
        component={Link}
        to={`/machines/${vehicle.id}`}
        sx={{ color: 'text.primary', justifySelf: 'start' }}
      >
        {t('ui-sheet.all-of-machine')}
      </MuiLink>
      <JobSubject job={job} sensor={sensor} vehicle={vehicle} />
      <Box
        component="form"
        aria-label={t('ui-sheet.job-details')}
        noValidate
        onSubmit={(event) => void handleSubmit((details) => save(details))(event)}
        sx={COLUMN}
      >
        <TextField
          label={t('ui-sheet.complaint')}
          multiline
          {...register('complaint')}
          slotProps={ABOVE}
          error={!!errors.complaint}
          helperText={refused(errors.complaint?.message) ?? theirs('complaint')}
        />
        <TextField
          label={t('ui-sheet.codes-stored-pending')}
          {...register('codes')}
          slotProps={ABOVE}
          error={!!errors.codes}
          helperText={
            refused(errors.codes?.message) ?? (theirs('codes') || t('ui-sheet.code-points-circuit-not-part'))
          }
        />
        <CodesFold codes={job.codes} />
        {!job.bench && (
          <VehiclePanel
            disabled={job.deletedAt !== undefined}
            takes={t('ui-on-board.take-into-job')}
            onTake={(units) => {
              onFollowUp({ what: 'vehicle', units });
              void takeCodes(codesNow(units));
            }}
            onCleared={() => onWork({ work: 'codes-cleared', text: titled(workSaid('codes-cleared')) })}
          />
        )}
        <TextField
          label={t('ui-sheet.replaced-before-whom')}
          multiline
          {...register('history')}
          slotProps={ABOVE}
          helperText={theirs('history')}
        />
        {familyOf(sensor.family).needs === 'displacement' && (
          <TextField
            label={t('ui-sheet.engine-displacement-l')}
            {...register('litres')}
            slotProps={ABOVE}
            error={!!errors.litres}
            helperText={refused(errors.litres?.message) ?? t('ui-sheet.flow-idle-judged')}
          />
        )}
        <Box component="fieldset" sx={{ border: 1, borderColor: 'sheet.rule', borderRadius: 1, minWidth: 0 }}>
          <Typography component="legend" sx={{ fontWeight: 700, px: 0.5 }}>
            {t('ui-sheet.plug-vehicle', { which: job.pins ? t('ui-sheet.changed-sensors-list') : '' })}
          </Typography>
          <Typography variant="body2" sx={{ mb: 1 }}>
            {t('ui-sheet.diagrams-can-wrong-write-down')}
          </Typography>
          <PinsEditor
            pins={shownPins}
            onChange={(changed) => setBesides({ pins: changed, leftOut })}
            problem={pinsProblem}
          />
          {(pins ?? job.pins) && (
            <Button color="inherit" onClick={() => setBesides({ pins: [...sensor.pins], leftOut })}>
              {t('ui-sheet.back-sensors-list')}
            </Button>
          )}
        </Box>
        {!job.bench && (
          <FormControlLabel
            control={
              <Checkbox
                checked={leftOut ?? job.notAsKnownGood ?? false}
                onChange={({ target }) => setBesides({ pins, leftOut: target.checked })}
              />
            }
            label={t('ui-sheet.not-as-known-good')}
            sx={{ minHeight: 48 }}
          />
        )}
        {problem && (
          <Alert
            severity="error"
            action={
              problem.code === 'job-changed' && (
                <Button color="inherit" onClick={takeTheirs}>
                  {t('ui-sheet.take-theirs')}
                </Button>
              )
            }
          >
            <SaidProblem problem={problem} />
          </Alert>
        )}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'center' }}>
          <Button type="submit" variant="contained" disabled={isLoading}>
            {problem?.code === 'job-changed'
              ? t('ui-sheet.save-mine-all-same')
              : t('ui-sheet.save-job-details')}
          </Button>
          {isSuccess && !formState.isDirty && pins === undefined && leftOut === undefined && (
            <span role="status">{t('ui-sheet.saved')}</span>
          )}
          <Box sx={{ flex: 1 }} />
          <SaveJob jobId={job.id} machine={vehicle.name} unsent={unsent} />
        </Box>
      </Box>
    </Box>
  );
}
