import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { meterDisplay, ohmsDisplay, type SimulatedMachine } from '@lettura/bench';
import { samePoint, type MachineState, type ProbePoint } from '@lettura/core/machine/places';
import { Cautions } from '../../ui/Cautions.tsx';
import { Digits } from './Digits.tsx';
import { keyOf, type PointChoice } from './benchPoints.ts';
import { PointSelect } from './PointSelect.tsx';
import { useTick } from './useMachine.ts';
import { t } from '../../ui/words.ts';

/** How a meter stands: what it measures, and where its probes are. */
export interface MeterSet {
  mode: 'volts' | 'ohms';
  red: ProbePoint;
  black: ProbePoint;
}

export interface TwoPointMeterProps {
  name: string;
  machine: SimulatedMachine;
  state: MachineState;
  points: readonly PointChoice[];
  seed: number;
  set: MeterSet;
  onSet: (set: MeterSet) => void;
  onTake: (set: MeterSet, text: string) => void;
}

/** A meter between any two points, for what the sheet's own meter at one point cannot tell: drops, ohms, tracks. */
export function TwoPointMeter({
  name,
  machine,
  state,
  points,
  seed,
  set,
  onSet,
  onTake,
}: TwoPointMeterProps) {
  const tick = useTick();
  const { mode } = set;
  // A pin that is plugged in again cannot be reached any more.
  const reachable = (point: ProbePoint): ProbePoint =>
    points.some(({ key }) => key === keyOf(point)) ? point : 'battery-negative';
  const [red, black] = [reachable(set.red), reachable(set.black)];
  const volts = mode === 'volts' && meterDisplay(machine.voltsBetween(red, black, state), seed, tick);
  const ohms = mode === 'ohms' && ohmsDisplay(machine, red, black, state);
  const text = volts ? `${volts.text} ${volts.unit}` : ohms ? `${ohms.text} ${ohms.unit}`.trim() : '';
  return (
    <Box component="section" aria-label={name}>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('ui-bench.what-the-measures', { name: name.toLowerCase() })}
          value={mode}
          onChange={(_event, chosen: MeterSet['mode'] | null) => chosen && onSet({ ...set, mode: chosen })}
        >
          <ToggleButton value="volts">{t('ui-bench.volts')}</ToggleButton>
          <ToggleButton value="ohms">{t('ui-bench.ohms')}</ToggleButton>
        </ToggleButtonGroup>
        <PointSelect
          label={t('ui-bench.red-probe')}
          points={points}
          value={red}
          onChange={(point) => onSet({ ...set, red: point })}
        />
        <PointSelect
          label={t('ui-bench.black-probe')}
          points={points}
          value={black}
          onChange={(point) => onSet({ ...set, black: point })}
        />
        <Box sx={{ minWidth: 150, ml: 'auto' }}>
          {volts && <Digits name={name} digits={volts.text} unit={volts.unit} />}
          {ohms && <Digits name={name} digits={ohms.text} unit={ohms.unit} />}
        </Box>
        <Button
          variant="contained"
          disabled={samePoint(red, black)}
          onClick={() => onTake({ mode, red, black }, text)}
        >
          {t('ui-bench.take')}
        </Button>
      </Box>
      {ohms && (
        <Typography variant="body2">
          {ohms.beeps ? t('ui-bench.beeps-path-conducts-few-ohms') : t('ui-bench.no-beep')}
        </Typography>
      )}
      {ohms && ohms.warning && <Cautions cautions={[ohms.warning]} />}
    </Box>
  );
}
