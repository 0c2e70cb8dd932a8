import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { FamilyId } from '@lettura/core/machine/family';
import { observationOf, observationsFor, type ObservationId } from '@lettura/core/record/observation';
import { memo, useState } from 'react';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

export interface LookedProps {
  /** An answer to a look; undefined where the simulated machine is looked at. */
  onLooked: (observation: ObservationId, holds: boolean) => void;
  /** Looks at the simulated machine. */
  look: ((observation: ObservationId) => boolean) | undefined;
}

/** The two answers of a look, or a look at the simulated machine. */
export function Looked({ observation, onLooked, look }: LookedProps & { observation: ObservationId }) {
  const { yes, no } = observationOf(observation);
  if (look)
    return (
      <Button variant="outlined" onClick={() => onLooked(observation, look(observation))}>
        {t('ui-sheet.look')}
      </Button>
    );
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 0.5 }}>
      <Button variant="outlined" onClick={() => onLooked(observation, true)}>
        <Said title message={yes} />
      </Button>
      <Button variant="outlined" onClick={() => onLooked(observation, false)}>
        <Said title message={no} />
      </Button>
    </Box>
  );
}

/** Whatever was looked at, or what the unit complains of, suggested or not. What is weighed meanwhile moves no open menu of it. */
export const AnyLook = memo(function AnyLook({ family, ...looked }: LookedProps & { family: FamilyId }) {
  const [chosen, setChosen] = useState<ObservationId | ''>('');
  const all = observationsFor(family);
  const observation = all.find(({ id }) => id === chosen);
  return (
    <Box sx={{ pt: 1.5, pb: 0.5 }}>
      <TextField
        select
        fullWidth
        size="small"
        label={t('ui-sheet.looked-something-read-codes')}
        value={observation ? chosen : ''}
        onChange={({ target }) => setChosen(target.value as ObservationId | '')}
      >
        <MenuItem value="">{t('ui-sheet.choose-what')}</MenuItem>
        {all.map(({ id, question }) => (
          <MenuItem key={id} value={id} sx={{ whiteSpace: 'normal' }}>
            <Said message={question} />
          </MenuItem>
        ))}
      </TextField>
      {observation && (
        <>
          <Typography variant="body2" sx={{ mt: 0.5 }}>
            <Said message={observation.how} />
          </Typography>
          <Looked observation={observation.id} {...looked} />
        </>
      )}
    </Box>
  );
});
