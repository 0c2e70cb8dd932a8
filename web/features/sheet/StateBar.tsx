import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import {
  ENGINE_STATES,
  harnessSaid,
  type EngineState,
  type MachineState,
  type PlugState,
} from '@lettura/core/machine/places';
import { formatPressure, type Ambient } from '@lettura/core/measure/quantity';
import type { FamilyId } from '@lettura/core/machine/family';
import { memo } from 'react';
import type { Units } from '../../ui/units.ts';
import { StimulusBar } from './StimulusBar.tsx';
import { valueSaid, t } from '../../ui/words.ts';
import { harnessInBrief } from './harnessInBrief.ts';

const ENGINE_LABEL: Record<EngineState, string> = {
  'key-off': t('ui-sheet.key-off'),
  koeo: t('ui-sheet.key-engine-off'),
  cranking: t('ui-sheet.cranking'),
  idle: t('ui-sheet.idle'),
  'held-revs': t('ui-sheet.revs-held'),
  'snap-open': t('ui-sheet.snap-open'),
  'under-load': t('ui-sheet.under-load'),
};

export interface StateBarProps {
  state: MachineState;
  onChange: (change: Partial<MachineState>) => void;
  ambient: Ambient | undefined;
  ambientAge: string | undefined;
  /** Old enough for the weather to have changed. */
  ambientStale: boolean;
  units: Units;
  onAmbient: () => void;
  family: FamilyId;
}

/** The state of the machine, on which every expectation depends and which every reading carries. */
export const StateBar = memo(function StateBar({
  state,
  onChange,
  ambient,
  ambientAge,
  ambientStale,
  units,
  onAmbient,
  family,
}: StateBarProps) {
  return (
    <Box
      component="section"
      aria-label={t('ui-sheet.state-machine')}
      sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}
    >
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-sheet.key-engine')}
        value={state.engine}
        // Whoever says what the engine does has let go of pump and arm: no later reading is filed as pumped unseen.
        onChange={(_event, engine: EngineState | null) =>
          onChange({ engine: engine ?? state.engine, ...(isHeldOn(state) ? { stimulus: undefined } : {}) })
        }
      >
        {ENGINE_STATES.map((engine) => (
          <ToggleButton key={engine} value={engine}>
            {ENGINE_LABEL[engine]}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label={t('ui-sheet.sensor-plug')}
        value={state.plug}
        onChange={(_event, plug: PlugState | null) => plug && onChange({ plug })}
      >
        <ToggleButton value="connected">{t('ui-sheet.plug-connected')}</ToggleButton>
        <ToggleButton value="unplugged">{t('ui-sheet.plug-off')}</ToggleButton>
      </ToggleButtonGroup>
      <StimulusBar {...{ family, state, units, onChange }} />
      {state.harness && (
        <Button
          variant="outlined"
          color="warning"
          title={valueSaid(harnessSaid(state.harness))}
          onClick={() => onChange({ harness: undefined })}
        >
          {t('ui-sheet.take-off', { harnessInBrief: harnessInBrief(state.harness) })}
        </Button>
      )}
      <Button
        variant={ambient && !ambientStale ? 'text' : 'outlined'}
        color={ambient && !ambientStale ? 'inherit' : 'warning'}
        onClick={onAmbient}
      >
        {ambient
          ? t('ui-sheet.ambient', {
              pressureKpaAbs: formatPressure(ambient.pressureKpaAbs, units.absolute),
              source: ambient.source,
              ambientAge: ambientAge ?? '',
              which: ambientStale ? t('ui-sheet.read-again') : '',
            })
          : t('ui-sheet.give-ambient-pressure')}
      </Button>
    </Box>
  );
});

const isHeldOn = ({ stimulus }: MachineState): boolean =>
  stimulus?.kind === 'pump' || stimulus?.kind === 'held';
