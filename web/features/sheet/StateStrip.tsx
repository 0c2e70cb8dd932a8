import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { stateSaid } from '@lettura/core/machine/places';
import { useState } from 'react';
import { upperFirst } from '../../ui/inWords.ts';
import { valueSaid, t } from '../../ui/words.ts';
import { StateBar, type StateBarProps } from './StateBar.tsx';

/** On a phone the state of the machine is one line, which opens to what can be changed and closes once it is. */
export function StateStrip(props: StateBarProps) {
  const [open, setOpen] = useState(false);
  const { state, onChange, onAmbient } = props;
  return (
    <Box>
      <Button
        fullWidth
        color="inherit"
        variant={state.harness || state.stimulus ? 'contained' : 'outlined'}
        aria-expanded={open}
        onClick={() => setOpen(!open)}
        sx={{
          minHeight: 48,
          justifyContent: 'space-between',
          textAlign: 'left',
          lineHeight: 1.2,
          borderColor: 'sheet.rule',
        }}
      >
        <span>{upperFirst(valueSaid(stateSaid(state)))}</span>
        <Box component="span" sx={{ pl: 1, fontWeight: 400, whiteSpace: 'nowrap' }}>
          {open ? t('ui-sheet.close') : t('ui-sheet.change')}
        </Box>
      </Button>
      {open && (
        <Box sx={{ pt: 1 }}>
          <StateBar
            {...props}
            onChange={(change) => {
              onChange(change);
              setOpen(false);
            }}
            onAmbient={() => {
              onAmbient();
              setOpen(false);
            }}
          />
        </Box>
      )}
    </Box>
  );
}
