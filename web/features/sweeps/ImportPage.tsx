import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { JobSheet } from '@lettura/contract';
import type { Problem } from '@lettura/core/problem';
import type { ChannelUse } from '@lettura/core/sweep';
import { useEffect, useState } from 'react';
import { useSelector } from 'react-redux';
import { Link, useParams } from 'react-router';
import { useJobSheetQuery } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { ColumnTable } from './ColumnTable.tsx';
import type { Opened } from './openFile.ts';
import { useKeepSweep } from './useKeepSweep.ts';
import { channelsOf, rememberUses, usesOf } from './usesOf.ts';
import { useSweepWorker } from './useSweepWorker.ts';

/** A recording from elsewhere, onto a job: what its columns are is guessed, confirmed once, and remembered. */
export default function ImportPage() {
  const { jobId = '' } = useParams();
  const { data, error } = useJobSheetQuery(jobId);
  useEffect(() => {
    document.title = 'Import a recording · Lettura';
  }, []);
  if (error) return <Trouble {...requestProblem(error)} />;
  return data ? <ImportForm sheet={data} /> : <Loading what="the job" />;
}

const RATE = { lowest: 0.001, highest: 1_000_000, unit: 'samples a second' };

interface Chosen {
  file: File;
  opened: Opened;
  uses: ChannelUse[];
}

function ImportForm({ sheet: { job, vehicle, sensor } }: { sheet: JobSheet }) {
  const units = useSelector(selectUnits);
  const { ask, progress } = useSweepWorker();
  const keep = useKeepSweep(ask);
  const [chosen, setChosen] = useState<Chosen>();
  const [problem, setProblem] = useState<Problem>();
  const [rate, setRate] = useState('100');
  const [working, setWorking] = useState(false);
  const layout = chosen?.opened.kind === 'table' ? chosen.opened.layout : undefined;
  const samplesPerSecond = fieldNumber(rate, RATE);
  const needsRate = layout !== undefined && layout.timeColumn === undefined;

  const choose = async (file: File) => {
    setProblem(undefined);
    const opened = await ask('open', { file });
    if (!opened.ok) {
      setChosen(undefined);
      setProblem(opened.problem);
      return;
    }
    const channels = opened.value.kind === 'table' ? channelsOf(opened.value.layout) : [];
    setChosen({ file, opened: opened.value, uses: usesOf(channels, sensor.companion) });
  };
  const read = async () => {
    if (!chosen || !samplesPerSecond.ok) return;
    setWorking(true);
    setProblem(await readAndKeep(chosen, samplesPerSecond.value));
    setWorking(false);
  };
  const readAndKeep = async ({ file, uses }: Chosen, perSecond: number): Promise<Problem | undefined> => {
    const held = await ask('read', { layout, samplesPerSecond: perSecond });
    if (!held.ok) return held.problem;
    const { heading } = held.value;
    const known = heading?.uses ?? (layout ? uses : usesOf(held.value.channels, sensor.companion));
    if (layout) rememberUses(held.value.channels, known);
    return keep({
      jobId: job.id,
      name: heading?.name ?? (file.name.replace(/\.[^.]*$/u, '').slice(0, 120) || 'Recording'),
      source: 'import',
      held: held.value,
      uses: known,
      context: {
        profile: sensor.profile,
        companion: sensor.companion,
        marks: heading?.marks,
        pressureUnit: units.absolute,
      },
      ...(heading ? { takenAt: new Date(heading.takenAt), note: heading.note } : {}),
    });
  };

  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={`Import a recording · ${vehicle.name}`}>
        <Button component={Link} to={`/jobs/${job.id}`} color="inherit">
          To the job
        </Button>
      </PageHeader>
      <Box component="main" sx={{ p: 2, maxWidth: 1000, mx: 'auto' }}>
        <Box
          sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
        >
          <Typography sx={{ mb: 1 }}>
            A text file with a row for each sample: comma, semicolon or tab, decimal point or comma, units in
            the header or below it; a candump log of live data; or a recording that was exported here as JSON.
            It stays on this job.
          </Typography>
          <FileButton
            accept=".csv,.tsv,.txt,.log,.dat,.json"
            variant="contained"
            color="primary"
            onFile={(file) => void choose(file)}
            disabled={working}
          >
            Choose a file
          </FileButton>
          {problem && (
            <Alert severity="error" sx={{ mt: 2 }}>
              {problem.message} {problem.next}
            </Alert>
          )}
          {chosen && (
            <Box component="section" aria-label="What is in the file" sx={{ mt: 2 }}>
              <Typography variant="h2">{chosen.file.name}</Typography>
              {chosen.opened.kind === 'candump' && (
                <Typography>A log of CAN frames: its live data becomes channels.</Typography>
              )}
              {chosen.opened.kind === 'json' && (
                <Typography>A recording of this product: it says itself what its channels are.</Typography>
              )}
              {chosen.opened.kind === 'table' && (
                <ColumnTable
                  layout={chosen.opened.layout}
                  firstRows={chosen.opened.firstRows}
                  uses={chosen.uses}
                  onLayout={(changed) =>
                    setChosen({ ...chosen, opened: { ...chosen.opened, layout: changed } as Opened })
                  }
                  onUses={(uses) => setChosen({ ...chosen, uses })}
                />
              )}
              {needsRate && (
                <TextField
                  size="small"
                  label="Samples per second"
                  value={rate}
                  onChange={(event) => setRate(event.target.value)}
                  error={!samplesPerSecond.ok}
                  helperText={
                    samplesPerSecond.ok ? 'The file has no column of time.' : samplesPerSecond.problem.next
                  }
                  sx={{ mt: 1.5 }}
                />
              )}
              <Box sx={{ mt: 2, display: 'flex', gap: 2, alignItems: 'center' }}>
                <Button
                  variant="contained"
                  size="large"
                  onClick={() => void read()}
                  disabled={working || (needsRate && !samplesPerSecond.ok)}
                >
                  Read and keep on the job
                </Button>
                {working && (
                  <Box sx={{ flex: 1 }}>
                    <LinearProgress
                      aria-label="Reading"
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
