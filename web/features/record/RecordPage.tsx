import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { Link, useParams } from 'react-router';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { useSheet, type Sheet } from '../sheet/index.ts';
import { Recorder } from './Recorder.tsx';
import { Leftovers } from './Leftovers.tsx';
import { useKeepCapture } from './useKeepCapture.ts';
import { useSources } from './useSources.ts';
import { t } from '../../ui/words.ts';

/** Records a sweep as it happens: what comes from where, what to do meanwhile, and what was marked. */
export default function RecordPage() {
  const { jobId = '' } = useParams();
  const { sheet, error } = useSheet(jobId);
  useEffect(() => {
    document.title = t('ui-record.record-live-lettura');
  }, []);
  if (error) return <Trouble {...requestProblem(error)} />;
  return sheet ? <LoadedRecord sheet={sheet} /> : <Loading what={t('ui-record.the-job')} />;
}

function LoadedRecord({ sheet }: { sheet: Sheet }) {
  const [wanted, setWanted] = useState<string>();
  const [busy, setBusy] = useState(false);
  const { choices, chosen, source, hand } = useSources(sheet, wanted);
  const keep = useKeepCapture(sheet);
  const choice = (
    <TextField
      select
      size="small"
      fullWidth
      label={t('ui-record.values-from')}
      value={chosen ?? ''}
      disabled={busy}
      onChange={(event) => setWanted(event.target.value)}
    >
      {choices.map(({ id, words }) => (
        <MenuItem key={id} value={id}>
          {words}
        </MenuItem>
      ))}
    </TextField>
  );
  return (
    <Box sx={{ height: { md: '100vh' }, minHeight: '100vh', display: 'flex', flexDirection: 'column' }}>
      <PageHeader title={t('ui-record.record-live', { name: sheet.vehicle.name })}>
        <Button component={Link} to={`/jobs/${sheet.job.id}?section=sweeps`} color="inherit">
          {t('ui-record.to-the-job')}
        </Button>
      </PageHeader>
      {source ? (
        <Recorder
          key={source.id}
          sheet={sheet}
          source={source}
          hand={hand}
          onBusy={setBusy}
          choice={choice}
        />
      ) : chosen !== undefined ? (
        <Loading what={t('ui-record.the-values')} />
      ) : (
        <Box component="main" sx={{ p: 2, display: 'grid', gap: 1.5, maxWidth: 520 }}>
          <Leftovers jobId={sheet.job.id} onKeep={keep} />
          {choices.length > 0 ? (
            <>
              <Typography>{t('ui-record.no-real-instrument-connected-server')}</Typography>
              {choice}
            </>
          ) : (
            <Typography sx={{ overflowWrap: 'anywhere' }}>
              {t('ui-record.no-instrument-connected-server-job')}
            </Typography>
          )}
        </Box>
      )}
    </Box>
  );
}
