import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { verbatim } from '@lettura/core/measure/message';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { t } from '../../ui/words.ts';
import { MOST_STEPS } from './ownSteps.ts';
import type { PumpSteps, StepChoice } from './usePumpSteps.ts';

/** How many steps, or which. */
export function PumpStepsChoice({ chosen, unit }: { chosen: PumpSteps; unit: PressureUnit }) {
  return (
    <>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-sheet.number-steps')}
        value={chosen.choice}
        onChange={(_event, choice: StepChoice | null) => choice && chosen.choose(choice)}
      >
        <ToggleButton value="6">{t('ui-sheet.6-steps')}</ToggleButton>
        <ToggleButton value="10">{t('ui-sheet.10-steps')}</ToggleButton>
        <ToggleButton value="own">{t('ui-sheet.own-steps')}</ToggleButton>
      </ToggleButtonGroup>
      {chosen.choice === 'own' && (
        <TextField
          fullWidth
          size="small"
          label={t('ui-sheet.steps-of-gauge', { unit: verbatim(unit) })}
          value={chosen.text}
          placeholder="0 5 10 15 20"
          error={chosen.isUnreadable && chosen.text.trim() !== ''}
          helperText={chosen.isUnreadable ? t('ui-sheet.write-steps', { most: MOST_STEPS }) : undefined}
          onChange={({ target }) => chosen.type(target.value)}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
      )}
    </>
  );
}
