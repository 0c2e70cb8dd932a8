import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useClearVehicleCodesMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** Clears the codes of the vehicle, once somebody was told what that loses and says so. */
export function ClearCodes({ disabled, onCleared }: { disabled: boolean; onCleared: () => void }) {
  const [isAsked, setAsked] = useState(false);
  const [isRead, setRead] = useState(false);
  const [clear, { data: done, error, isLoading }] = useClearVehicleCodesMutation();
  const now = async () => {
    const answer = await clear();
    setAsked(false);
    setRead(false);
    if ('data' in answer && answer.data && answer.data.cleared.length > 0) onCleared();
  };
  return (
    <Box sx={{ display: 'grid', gap: 0.5, justifyItems: 'start', flex: '1 1 260px' }}>
      {isAsked ? (
        <Box role="group" aria-label={t('ui-on-board.clear-codes')} sx={{ display: 'grid', gap: 0.5 }}>
          <Typography>{t('ui-on-board.clearing-loses')}</Typography>
          <FormControlLabel
            control={<Checkbox checked={isRead} onChange={({ target }) => setRead(target.checked)} />}
            label={t('ui-on-board.noted-and-meant')}
            sx={{ minHeight: 48 }}
          />
          <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
            <Button
              color="error"
              variant="contained"
              disabled={disabled || !isRead || isLoading}
              onClick={() => void now()}
              sx={{ minHeight: 48 }}
            >
              {t('ui-on-board.clear-now')}
            </Button>
            <Button color="inherit" onClick={() => setAsked(false)} sx={{ minHeight: 48 }}>
              {t('ui-on-board.leave-them')}
            </Button>
          </Box>
        </Box>
      ) : (
        <Button
          color="inherit"
          variant="outlined"
          disabled={disabled}
          onClick={() => setAsked(true)}
          sx={{ minHeight: 48 }}
        >
          {t('ui-on-board.clear-codes')}
        </Button>
      )}
      {error && (
        <Alert severity="error">
          <SaidProblem problem={requestProblem(error)} />
        </Alert>
      )}
      {done && !isAsked && (
        <Typography role="status">
          {done.cleared.length > 0 && t('ui-on-board.cleared', { units: done.cleared.join(', ') })}{' '}
          {done.refused.map(({ unit, why }) => t(`ui-on-board.refused-${why}`, { unit })).join(' ')}
        </Typography>
      )}
    </Box>
  );
}
