import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useListRecordingsQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { RecordingList } from './RecordingList.tsx';
import { t } from '../../ui/words.ts';

/** Every recording of the workshop, newest first. */
export default function SweepsPage() {
  const { data, error } = useListRecordingsQuery();
  useEffect(() => {
    document.title = t('ui-sweeps.page');
  }, []);
  if (error && !data) return <Trouble {...requestProblem(error)} />;
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-sweeps.sweeps')}>
        <LibraryLinks />
      </PageHeader>
      <Box component="main" sx={{ p: 2, maxWidth: 1000, mx: 'auto' }}>
        <Box
          sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
        >
          {!data && <Loading what={t('ui-sweeps.the-recordings')} />}
          {data?.length === 0 && <Typography>{t('ui-sweeps.nothing-been-recorded-yet-open')}</Typography>}
          {data && data.length > 0 && <RecordingList recordings={data} />}
        </Box>
      </Box>
    </Box>
  );
}
