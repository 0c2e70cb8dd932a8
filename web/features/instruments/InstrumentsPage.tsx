import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import { calibrationOverdue, INSTRUMENT_SORTS, type Instrument } from '@lettura/contract';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { useEffect, useState } from 'react';
import { useSelector } from 'react-redux';
import { useListInstrumentsQuery } from '../../app/api.ts';
import { LibraryLinks } from '../../app/LibraryLinks.tsx';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { InstrumentForm } from './InstrumentForm.tsx';
import { accuracyInWords, limitsInWords, rangeInWords, SORT_WORDS } from './instrumentWords.ts';

/** Meters, gauges, pumps and live data: how well each can tell, and until when that is assured. */
export default function InstrumentsPage() {
  const { data, error } = useListInstrumentsQuery();
  const { vacuum: unit } = useSelector(selectUnits);
  const [open, setOpen] = useState<Instrument | 'new'>();
  const [saved, setSaved] = useState<string>();
  useEffect(() => {
    document.title = 'Instruments · Lettura';
  }, []);
  const today = new Date().toISOString().slice(0, 10);
  const sorted = INSTRUMENT_SORTS.flatMap((sort) => data?.filter((one) => one.sort === sort) ?? []);
  return (
    <Box sx={{ minHeight: '100vh' }}>
      <PageHeader title="Instruments">
        <LibraryLinks />
      </PageHeader>
      {error && !data && <Trouble {...requestProblem(error)} />}
      {!data && !error && <Loading what="instruments" />}
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
                  setSaved(done && `${done.name} saved.`);
                  setOpen(undefined);
                }}
              />
            ) : (
              <>
                <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, mb: 1 }}>
                  <Typography sx={{ flex: 1 }}>
                    Every comparison is as honest as these lines. Choose the instrument in hand on the job
                    sheet.
                  </Typography>
                  <Button variant="contained" onClick={() => setOpen('new')}>
                    New instrument
                  </Button>
                </Box>
                {saved && (
                  <Alert severity="success" onClose={() => setSaved(undefined)} sx={{ mb: 1 }}>
                    {saved}
                  </Alert>
                )}
                <Box sx={{ overflowX: 'auto', position: 'relative' }}>
                  <Table size="small" aria-label="Instruments">
                    <TableHead>
                      <TableRow>
                        <TableCell>Instrument</TableCell>
                        <TableCell>Range</TableCell>
                        <TableCell>Accuracy</TableCell>
                        <TableCell>Calibration</TableCell>
                        <TableCell>
                          <span style={visuallyHidden}>What to do</span>
                        </TableCell>
                      </TableRow>
                    </TableHead>
                    <TableBody>
                      {sorted.map((one) => (
                        <Row key={one.id} {...{ one, unit, today }} onOpen={() => setOpen(one)} />
                      ))}
                    </TableBody>
                  </Table>
                </Box>
              </>
            )}
          </Box>
        </Box>
      )}
    </Box>
  );
}

interface RowProps {
  one: Instrument;
  unit: PressureUnit;
  today: string;
  onOpen: () => void;
}

function Row({ one, unit, today, onOpen }: RowProps) {
  const overdue = calibrationOverdue(one, today);
  return (
    <TableRow sx={{ opacity: one.retired ? 0.75 : 1 }}>
      <TableCell component="th" scope="row" sx={{ minWidth: 150, overflowWrap: 'anywhere' }}>
        <Box sx={{ fontWeight: 650 }}>{one.name}</Box>
        {SORT_WORDS[one.sort]}
        {one.retired ? ', no longer in use' : ''}
        {one.notes && <Typography variant="body2">{one.notes}</Typography>}
      </TableCell>
      <TableCell>{rangeInWords(one, unit)}</TableCell>
      <TableCell>
        {accuracyInWords(one, unit)}
        <Typography variant="body2">{limitsInWords(one, unit)}</Typography>
      </TableCell>
      <TableCell>
        {one.calibratedOn ? `on ${one.calibratedOn}` : 'no date noted'}
        <Typography
          variant="body2"
          sx={overdue ? { color: 'warning.main', fontWeight: 700 } : { color: 'text.secondary' }}
        >
          {overdue
            ? `⚠ overdue since ${one.calibrationDue ?? ''}`
            : one.calibrationDue && `due ${one.calibrationDue}`}
        </Typography>
      </TableCell>
      <TableCell align="right">
        <Button color="inherit" variant="outlined" aria-label={`Change ${one.name}`} onClick={onOpen}>
          Change
        </Button>
      </TableCell>
    </TableRow>
  );
}
