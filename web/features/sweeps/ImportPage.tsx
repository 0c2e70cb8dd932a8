import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { JobSheet } from '@lettura/contract';
import type { Companion } from '@lettura/core/measure/companion';
import type { Problem } from '@lettura/core/measure/problem';
import type { Layout } from '@lettura/core/recording/file';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { useJobSheetQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { ambientOf } from './ambientOf.ts';
import { ColumnTable } from './ColumnTable.tsx';
import { twiceUsed, type ColumnMeaning } from './MeaningFields.tsx';
import type { Opened } from './openFile.ts';
import { useKeepSweep } from './useKeepSweep.ts';
import { basisOf, channelsOf, rememberUses, usesOf } from './usesOf.ts';
import { useSweepWorker } from './useSweepWorker.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { said, t } from '../../ui/words.ts';

/** A recording from elsewhere, onto a job: what its columns are is guessed, confirmed once, and remembered. */
export default function ImportPage() {
  const { jobId = '' } = useParams();
  const { data, error } = useJobSheetQuery(jobId);
  useEffect(() => {
    document.title = t('ui-sweeps.import-recording-lettura');
  }, []);
  if (error) return <Trouble {...requestProblem(error)} />;
  return data ? <ImportForm sheet={data} /> : <Loading what={t('ui-sweeps.the-job')} />;
}

/** Of items that are left out: more names are no hint any more. */
const MOST_NAMED = 5;
const RATE = { lowest: 0.001, highest: 1_000_000, unit: t('ui-sweeps.samples-second') };

interface Chosen {
  file: File;
  opened: Opened;
  /** By column of the file. */
  meanings: ColumnMeaning[];
}

/** What the columns of a layout are taken for, until somebody says otherwise. */
function meaningsOf(layout: Layout, companion: Companion | undefined): ColumnMeaning[] {
  const uses = usesOf(channelsOf(layout), companion);
  let channel = 0;
  return layout.columns.map((column, i) =>
    i === layout.timeColumn
      ? { use: 'other' as const, basis: undefined }
      : { use: uses[channel++] ?? ('other' as const), basis: basisOf(column) },
  );
}

/** As a field of date and time wants it, by the clock on the wall. */
const wallClock = (ms: number): string =>
  new Date(ms - new Date(ms).getTimezoneOffset() * 60_000).toISOString().slice(0, 16);

function ImportForm({ sheet }: { sheet: JobSheet }) {
  const { job, vehicle, sensor } = sheet;
  const ambientKpaAbs = ambientOf(sheet);
  const { ask, progress } = useSweepWorker();
  const keep = useKeepSweep(ask);
  const [chosen, setChosen] = useState<Chosen>();
  const [problem, setProblem] = useState<Problem>();
  const [rate, setRate] = useState('100');
  const [working, setWorking] = useState(false);
  const [recordedAt, setRecordedAt] = useState('');
  const layout = chosen?.opened.kind === 'table' ? chosen.opened.layout : undefined;
  const samplesPerSecond = fieldNumber(rate, RATE);
  const needsRate = layout !== undefined && layout.timeColumn === undefined;

  const uses =
    chosen && layout ? chosen.meanings.filter((_, i) => i !== layout.timeColumn).map(({ use }) => use) : [];
  const doubled = twiceUsed(uses);

  const choose = async (file: File, headerRows?: number) => {
    setProblem(undefined);
    const opened = await ask('open', { file, headerRows });
    if (!opened.ok) {
      if (headerRows === undefined) setChosen(undefined);
      setProblem(opened.problem);
      return;
    }
    if (headerRows === undefined) setRecordedAt(wallClock(file.lastModified));
    const meanings = opened.value.kind === 'table' ? meaningsOf(opened.value.layout, sensor.companion) : [];
    setChosen({ file, opened: opened.value, meanings });
  };
  const read = async () => {
    if (!chosen || !samplesPerSecond.ok) return;
    setWorking(true);
    setProblem(await readAndKeep(chosen, samplesPerSecond.value));
    setWorking(false);
  };
  const readAndKeep = async ({ file, meanings }: Chosen, perSecond: number): Promise<Problem | undefined> => {
    const held = await ask('read', { layout, samplesPerSecond: perSecond });
    if (!held.ok) return held.problem;
    const { heading, startedAtMs } = held.value;
    const known = heading?.uses ?? (layout ? uses : usesOf(held.value.channels, sensor.companion));
    const said = Date.parse(recordedAt);
    if (layout) rememberUses(held.value.channels, known);
    return keep({
      jobId: job.id,
      name: heading?.name ?? (file.name.replace(/\.[^.]*$/u, '').slice(0, 120) || 'Recording'),
      source: 'import',
      held: held.value,
      uses: known,
      bases: layout
        ? meanings.filter((_, i) => i !== layout.timeColumn).map(({ basis }) => basis)
        : (heading?.bases ?? held.value.channels.map(basisOf)),
      // The time that the file says, else the one that somebody says.
      takenAt: new Date(startedAtMs ?? (Number.isNaN(said) ? file.lastModified : said)),
      context: {
        profile: sensor.profile,
        companion: sensor.companion,
        marks: heading?.marks,
        ambientKpaAbs,
      },
      ...(heading ? { takenAt: new Date(heading.takenAt), note: heading.note } : {}),
    });
  };

  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-sweeps.import-recording', { name: vehicle.name })}>
        <Button component={Link} to={`/jobs/${job.id}`} color="inherit">
          {t('ui-sweeps.to-the-job')}
        </Button>
      </PageHeader>
      <Box component="main" sx={{ p: 2, maxWidth: 1000, mx: 'auto' }}>
        <Box
          sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
        >
          <Typography sx={{ mb: 1 }}>{t('ui-sweeps.text-file-row-each-sample')}</Typography>
          <FileButton
            accept=".csv,.tsv,.txt,.log,.dat,.json"
            variant="contained"
            color="primary"
            onFile={(file) => void choose(file)}
            disabled={working}
          >
            {t('ui-sweeps.choose-file')}
          </FileButton>
          {problem && (
            <Alert severity="error" sx={{ mt: 2 }}>
              <SaidProblem problem={problem} />
            </Alert>
          )}
          {chosen && (
            <Box component="section" aria-label={t('ui-sweeps.what-is-in-the-file')} sx={{ mt: 2 }}>
              <Typography variant="h2">{chosen.file.name}</Typography>
              {chosen.opened.kind === 'candump' && (
                <Typography>{t('ui-sweeps.log-can-frames-live-data')}</Typography>
              )}
              {chosen.opened.kind === 'json' && (
                <Typography>{t('ui-sweeps.recording-product-says-itself-channels')}</Typography>
              )}
              {chosen.opened.kind === 'table' && chosen.opened.joined && (
                <Typography>{t('ui-sweeps.log-one-value-a-row')}</Typography>
              )}
              {chosen.opened.kind === 'table' && (chosen.opened.leftOut?.length ?? 0) > 0 && (
                <Alert severity="warning">
                  {t('ui-sweeps.items-left-out', {
                    count: chosen.opened.leftOut?.length ?? 0,
                    names: (chosen.opened.leftOut ?? []).slice(0, MOST_NAMED).join(', '),
                    more: Math.max(0, (chosen.opened.leftOut?.length ?? 0) - MOST_NAMED),
                  })}
                </Alert>
              )}
              {chosen.opened.kind === 'table' && (
                <ColumnTable
                  layout={chosen.opened.layout}
                  firstRows={chosen.opened.firstRows}
                  meanings={chosen.meanings}
                  onLayout={(changed) =>
                    setChosen({ ...chosen, opened: { ...chosen.opened, layout: changed } as Opened })
                  }
                  onMeanings={(meanings) => setChosen({ ...chosen, meanings })}
                />
              )}
              {layout && (
                <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mt: 1.5 }}>
                  <TextField
                    size="small"
                    type="number"
                    label={t('ui-sweeps.lines-before-numbers')}
                    value={layout.headerRows}
                    onChange={(event) => void choose(chosen.file, Math.max(0, Number(event.target.value)))}
                    slotProps={{ htmlInput: { min: 0, max: 199 } }}
                    sx={{ width: 200 }}
                  />
                  <TextField
                    select
                    size="small"
                    label={t('ui-sweeps.decimal-mark')}
                    value={layout.decimal}
                    onChange={(event) =>
                      setChosen({
                        ...chosen,
                        opened: {
                          ...chosen.opened,
                          layout: { ...layout, decimal: event.target.value as Layout['decimal'] },
                        } as Opened,
                      })
                    }
                    sx={{ width: 160 }}
                  >
                    <MenuItem value=".">{t('ui-sweeps.point-2-31')}</MenuItem>
                    <MenuItem value=",">{t('ui-sweeps.comma-2-31')}</MenuItem>
                  </TextField>
                </Box>
              )}
              {chosen.opened.kind !== 'json' && layout?.timeForm !== 'date' && (
                <TextField
                  size="small"
                  type="datetime-local"
                  label={t('ui-sweeps.recorded-on')}
                  value={recordedAt}
                  onChange={(event) => setRecordedAt(event.target.value)}
                  helperText={t('ui-sweeps.file-does-not-say-day')}
                  slotProps={{ inputLabel: { shrink: true } }}
                  sx={{ mt: 1.5, display: 'block' }}
                />
              )}
              {doubled && (
                <Alert severity="warning" sx={{ mt: 1.5 }}>
                  {doubled}
                </Alert>
              )}
              {needsRate && (
                <TextField
                  size="small"
                  label={t('ui-sweeps.samples-per-second')}
                  value={rate}
                  onChange={(event) => setRate(event.target.value)}
                  error={!samplesPerSecond.ok}
                  helperText={
                    samplesPerSecond.ok
                      ? t('ui-sweeps.file-no-column-time')
                      : said(samplesPerSecond.problem.next)
                  }
                  sx={{ mt: 1.5 }}
                />
              )}
              <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
                <Button
                  variant="contained"
                  size="large"
                  onClick={() => void read()}
                  disabled={working || doubled !== undefined || (needsRate && !samplesPerSecond.ok)}
                >
                  {t('ui-sweeps.read-keep-job')}
                </Button>
                {working && (
                  <Box sx={{ flex: 1 }}>
                    <LinearProgress
                      aria-label={t('ui-sweeps.reading')}
                      {...(progress === undefined
                        ? {}
                        : { variant: 'determinate' as const, value: 100 * progress })}
                    />
                  </Box>
                )}
              </Box>
            </Box>
          )}
        </Box>
      </Box>
    </Box>
  );
}
