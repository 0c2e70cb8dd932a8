import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import type { MachineState, Stimulus } from '@lettura/core/machine/places';
import type { FamilyId } from '@lettura/core/machine/family';
import { formatPressure } from '@lettura/core/measure/quantity';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';

/** What can be done to a sensor of this family without an instrument: its words for "nothing" and for "done". */
const CHOICES: Partial<Record<FamilyId, { stimulus: Stimulus; off: string; on: string }>> = {
  throttle: {
    stimulus: { kind: 'full-travel' },
    off: t('ui-sheet.throttle-closed'),
    on: t('ui-sheet.wide-open'),
  },
  pedal: { stimulus: { kind: 'full-travel' }, off: t('ui-sheet.pedal-rest'), on: t('ui-sheet.fully-down') },
  flap: { stimulus: { kind: 'full-travel' }, off: t('ui-sheet.arm-as-it-is'), on: t('ui-sheet.far-stop') },
  'exhaust-flow-differential': {
    stimulus: { kind: 'valve-open' },
    off: t('ui-sheet.valve-as-it-is'),
    on: t('ui-sheet.forced-open'),
  },
};

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
  const choice = CHOICES[family];
  if (!choice) return null;
  return (
    <ToggleButtonGroup
      exclusive
      size="small"
      aria-label={t('ui-sheet.done-sensor')}
      value={stimulus ? 'on' : 'off'}
      onChange={(_event, chosen: 'on' | 'off' | null) =>
        chosen && onChange({ stimulus: chosen === 'on' ? choice.stimulus : undefined })
      }
    >
      <ToggleButton value="off">{choice.off}</ToggleButton>
      <ToggleButton value="on">{choice.on}</ToggleButton>
    </ToggleButtonGroup>
  );
}
