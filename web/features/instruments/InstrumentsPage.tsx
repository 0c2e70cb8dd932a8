import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { INSTRUMENT_SORTS, type Instrument } from '@lettura/contract';
import { useEffect, useState } from 'react';
import { useSelector } from 'react-redux';
import { useListInstrumentsQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { FeedList } from '../live/index.ts';
import { InstrumentForm } from './InstrumentForm.tsx';
import { t } from '../../ui/words.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { InstrumentCards } from './InstrumentCards.tsx';
import { InstrumentTable } from './InstrumentTable.tsx';

/** Meters, gauges, pumps and live data: how well each can tell, and until when that is assured. */
export default function InstrumentsPage() {
  const { data, error } = useListInstrumentsQuery();
  const { vacuum: unit } = useSelector(selectUnits);
  const [open, setOpen] = useState<Instrument | 'new'>();
  const [saved, setSaved] = useState<string>();
  useEffect(() => {
    document.title = t('ui-instruments.page');
  }, []);
  const List = useScreen() === 'phone' ? InstrumentCards : InstrumentTable;
  const today = new Date().toISOString().slice(0, 10);
  const sorted = INSTRUMENT_SORTS.flatMap((sort) => data?.filter((one) => one.sort === sort) ?? []);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title={t('ui-instruments.instruments')}>
        <LibraryLinks />
      </PageHeader>
      {error && !data && <Trouble {...requestProblem(error)} />}
      {!data && !error && <Loading what={t('ui-instruments.instruments-2')} />}
      {data && (
        <Box component="main" sx={{ p: 2, maxWidth: 1240, mx: 'auto' }}>
          <Box
            sx={{ bgcolor: 'background.paper', border: 1, borderColor: 'sheet.rule', borderRadius: 1, p: 2 }}
          >
            {open ? (
              <InstrumentForm
                key={open === 'new' ? 'new' : open.id}
                original={open === 'new' ? undefined : open}
                onDone={(done) => {
                  setSaved(done && t('ui-instruments.saved', { name: done.name }));
                  setOpen(undefined);
                }}
              />
            ) : (
              <>
                <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 2, mb: 1 }}>
                  <Typography sx={{ flex: '1 1 260px' }}>
                    {t('ui-instruments.every-comparison-honest-these-lines')}
                  </Typography>
                  <Button variant="contained" onClick={() => setOpen('new')}>
                    {t('ui-instruments.new-instrument')}
                  </Button>
                </Box>
                {saved && (
                  <Alert severity="success" onClose={() => setSaved(undefined)} sx={{ mb: 1 }}>
                    {saved}
                  </Alert>
                )}
                <List instruments={sorted} {...{ unit, today }} onOpen={setOpen} />
              </>
            )}
          </Box>
          {!open && <FeedList />}
        </Box>
      )}
    </Box>
  );
}
