import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useEffect } from 'react';
import { useListRecordingsQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { RecordingList } from './RecordingList.tsx';

/** Every recording of the workshop, newest first. */
export default function SweepsPage() {
  const { data, error } = useListRecordingsQuery();
  useEffect(() => {
    document.title = 'Sweeps · Lettura';
  }, []);
  if (error && !data) return <Trouble {...requestProblem(error)} />;
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title="Sweeps">
        <LibraryLinks />
      </PageHeader>
      <Box component="main" sx={{ p: 2, maxWidth: 1000, mx: 'auto' }}>
        <Box
          sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
        >
          {!data && <Loading what="the recordings" />}
          {data?.length === 0 && (
            <Typography>
              Nothing has been recorded yet. Open a job and import a recording there, under Sweeps.
            </Typography>
          )}
          {data && data.length > 0 && <RecordingList recordings={data} />}
        </Box>
      </Box>
    </Box>
  );
}
