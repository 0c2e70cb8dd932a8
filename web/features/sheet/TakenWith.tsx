import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Instrument } from '@lettura/contract';
import type { Target } from '@lettura/core/machine/places';
import { useDispatch, useSelector } from 'react-redux';
import { instrumentChosen, selectInstruments } from '../../app/preferences.ts';
import { chosenAs, instrumentInHand, instrumentsFor, overdueWords } from './instrumentInHand.ts';
import { t } from '../../ui/words.ts';

const ASSUMED = {
  wire: t('ui-sheet.common-meter-assumed'),
  gauge: t('ui-sheet.common-gauge-assumed'),
  scan: t('ui-sheet.standard-live-data-assumed'),
  'live-volts': t('ui-sheet.standard-live-data-assumed'),
} as const;

/** Which instrument takes the readings at this sort of point; kept from reading to reading. */
export function TakenWith({
  kind,
  instruments,
}: {
  kind: Target['kind'];
  instruments: readonly Instrument[];
}) {
  const chosen = useSelector(selectInstruments);
  const dispatch = useDispatch();
  const offered = newest(instrumentsFor(kind, instruments));
  const inHand = instrumentInHand(kind, offered, chosen);
  const overdue = inHand && overdueWords(inHand, new Date().toISOString().slice(0, 10));
  return (
    <Box sx={{ mt: 1, maxWidth: 330 }}>
      <TextField
        select
        size="small"
        fullWidth
        label={t('ui-sheet.taken-with-2')}
        value={inHand?.id ?? ''}
        onChange={(event) => dispatch(instrumentChosen({ [chosenAs(kind)]: event.target.value }))}
        slotProps={{ select: { displayEmpty: true }, inputLabel: { shrink: true } }}
      >
        <MenuItem value="">{ASSUMED[kind]}</MenuItem>
        {offered.map(({ id, name }) => (
          <MenuItem key={id} value={id}>
            {name}
          </MenuItem>
        ))}
      </TextField>
      {overdue && (
        <Typography variant="body2" role="note" sx={{ color: 'warning.main', fontWeight: 600, mt: 0.5 }}>
          ⚠ {overdue}
        </Typography>
      )}
    </Box>
  );
}

/** The job carries old versions too, for the readings taken with them; only the newest is offered. */
function newest(instruments: readonly Instrument[]): Instrument[] {
  const byLineage = new Map<string, Instrument>();
  for (const one of instruments) {
    const known = byLineage.get(one.lineageId);
    if (!known || one.version > known.version) byLineage.set(one.lineageId, one);
  }
  return [...byLineage.values()].sort((a, b) => a.name.localeCompare(b.name));
}
