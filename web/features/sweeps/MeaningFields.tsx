import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import { PRESSURE_BASES, type PressureBasis } from '@lettura/core/measure/quantity';
import { CHANNEL_USES, isPressureUnit, type ChannelUse } from '@lettura/core/recording/sweep';
import { USE_WORDS } from './useWords.ts';
import { t } from '../../ui/words.ts';

/** What is known of a channel, column by column of the file: nothing for the moments. */
export interface ColumnMeaning {
  use: ChannelUse;
  basis: PressureBasis | undefined;
}

export interface MeaningFieldsProps {
  name: string;
  unit: string;
  meaning: ColumnMeaning;
  onUnit: (unit: string) => void;
  onMeaning: (meaning: ColumnMeaning) => void;
  /** Where the column may be the moments after all. */
  onTime?: (() => void) | undefined;
}

/** What one channel is: its use, its unit, and what a pressure counts from. */
export function MeaningFields({ name, unit, meaning, onUnit, onMeaning, onTime }: MeaningFieldsProps) {
  const { use, basis } = meaning;
  const asksBasis = (use === 'live' || use === 'stimulus') && isPressureUnit(unit);
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1 }}>
      <TextField
        size="small"
        label={t('ui-sweeps.unit-of', { name })}
        value={unit}
        onChange={(event) => onUnit(event.target.value)}
        slotProps={{ htmlInput: { maxLength: 12 } }}
        sx={{ width: 110 }}
      />
      <TextField
        select
        size="small"
        label={t('ui-sweeps.what-is', { name })}
        value={use}
        onChange={(event) =>
          event.target.value === 'time'
            ? onTime?.()
            : onMeaning({ ...meaning, use: event.target.value as ChannelUse })
        }
        sx={{ minWidth: 210 }}
      >
        {CHANNEL_USES.map((one) => (
          <MenuItem key={one} value={one}>
            {USE_WORDS[one]}
          </MenuItem>
        ))}
        {onTime && <MenuItem value="time">{t('ui-sweeps.the-time')}</MenuItem>}
      </TextField>
      {asksBasis && (
        <TextField
          select
          size="small"
          label={t('ui-sweeps.counts-from', { name })}
          value={basis ?? ''}
          onChange={(event) =>
            onMeaning({ ...meaning, basis: (event.target.value || undefined) as PressureBasis | undefined })
          }
          sx={{ minWidth: 150 }}
        >
          <MenuItem value="">{t('ui-sweeps.not-known')}</MenuItem>
          {PRESSURE_BASES.map((one) => (
            <MenuItem key={one} value={one}>
              {BASIS_CHOICES[one]}
            </MenuItem>
          ))}
        </TextField>
      )}
    </Box>
  );
}

const BASIS_CHOICES: Record<PressureBasis, string> = {
  absolute: t('ui-sweeps.nothing-absolute'),
  gauge: t('ui-sweeps.ambient-upwards-gauge'),
  vacuum: t('ui-sweeps.ambient-downwards-vacuum'),
};

/** One channel can be the signal, not two: which of them it is has to be said. */
export function twiceUsed(uses: readonly ChannelUse[]): string | undefined {
  const twice = uses.find((use, i) => use !== 'other' && uses.indexOf(use) !== i);
  return twice && t('ui-sweeps.two-channels-given-choose-one', { usewords: USE_WORDS[twice] });
}
