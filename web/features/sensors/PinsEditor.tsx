import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { PIN_WIRES, type Pin, type PinWire } from '@lettura/contract';
import { PIN_WORDS } from './pinWords.ts';
import { t } from '../../ui/words.ts';

const MOST_PINS = 12;

export interface PinsEditorProps {
  pins: readonly Pin[];
  onChange: (pins: Pin[]) => void;
  problem?: string | undefined;
}

/** Terminals, wires and colours as they are found; as many rows as the plug has. */
export function PinsEditor({ pins, onChange, problem }: PinsEditorProps) {
  const set = (i: number, change: Partial<Pin>) =>
    onChange(pins.map((pin, j) => (j === i ? { ...pin, ...change } : pin)));
  const used = new Set(pins.map(({ wire }) => wire));
  const add = () =>
    onChange([
      ...pins,
      {
        terminal: String(pins.length + 1),
        wire: PIN_WIRES.find((wire) => !used.has(wire)) ?? 'other',
        colour: '',
      },
    ]);
  return (
    <Box role="group" aria-label={t('ui-sensors.pins')}>
      {pins.map((pin, i) => (
        // Rows have no other name than their place while they are being typed.
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '84px 1fr 1fr 44px', gap: 1, mb: 1 }}>
          <TextField
            size="small"
            label={t('ui-sensors.terminal')}
            value={pin.terminal}
            onChange={(event) => set(i, { terminal: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 8 } }}
          />
          <TextField
            select
            size="small"
            label={t('ui-sensors.wire')}
            value={pin.wire}
            onChange={(event) => set(i, { wire: event.target.value as PinWire })}
          >
            {PIN_WIRES.map((wire) => (
              <MenuItem key={wire} value={wire}>
                {PIN_WORDS[wire]}
              </MenuItem>
            ))}
          </TextField>
          <TextField
            size="small"
            label={t('ui-sensors.colour')}
            value={pin.colour}
            onChange={(event) => set(i, { colour: event.target.value })}
            slotProps={{ htmlInput: { maxLength: 40 } }}
          />
          <Button
            color="inherit"
            aria-label={t('ui-sensors.remove-terminal', { terminal: pin.terminal })}
            onClick={() => onChange(pins.filter((_pin, j) => j !== i))}
            sx={{ minWidth: 44, px: 0 }}
          >
            ✕
          </Button>
        </Box>
      ))}
      {problem && (
        <Typography variant="body2" role="alert" sx={{ color: 'error.main' }}>
          {problem}
        </Typography>
      )}
      <Button color="inherit" variant="outlined" disabled={pins.length >= MOST_PINS} onClick={add}>
        {t('ui-sensors.add-terminal')}
      </Button>
    </Box>
  );
}
