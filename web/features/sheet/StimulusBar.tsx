import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { MachineState } from '@lettura/core/machine/places';
import { familyOf, type FamilyId } from '@lettura/core/machine/family';
import { formatPressure } from '@lettura/core/measure/quantity';
import type { Units } from '../../ui/units.ts';
import { said, t } from '../../ui/words.ts';

export interface StimulusBarProps {
  family: FamilyId;
  state: MachineState;
  units: Units;
  onChange: (change: Pick<MachineState, 'stimulus'>) => void;
}

/** The stimulus as part of the machine's state, for the families that have one; a pump is set in its own table. */
export function StimulusBar({ family, state, units, onChange }: StimulusBarProps) {
  const { stimulus } = state;
  if (stimulus?.kind === 'pump') {
    const { kpaAboveAmbient } = stimulus;
    const size = formatPressure(
      Math.abs(kpaAboveAmbient),
      kpaAboveAmbient < 0 ? units.vacuum : units.absolute,
    );
    return (
      <Button variant="outlined" color="warning" onClick={() => onChange({ stimulus: undefined })}>
        {t('ui-sheet.pump-take-off', { size, which: kpaAboveAmbient < 0 ? t('ui-sheet.vacuum') : '' })}
      </Button>
    );
  }
  if (stimulus?.kind === 'held') {
    return (
      <Button variant="outlined" color="warning" onClick={() => onChange({ stimulus: undefined })}>
        {t('ui-sheet.held-let-go', { percent: stimulus.percent })}
      </Button>
    );
  }
  const { stimulus: names, moves } = familyOf(family);
  if (!names || !moves?.stimulus) return null;
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={t('ui-sheet.done-sensor')}
      value={stimulus ? 'on' : 'off'}
      onChange={(_event, chosen: 'on' | 'off' | null) =>
        chosen && onChange({ stimulus: chosen === 'on' ? moves.stimulus : undefined })
      }
    >
      <ToggleButton value="off">{said(names.off)}</ToggleButton>
      <ToggleButton value="on">{said(names.on)}</ToggleButton>
    </ToggleButtonGroup>
  );
}
