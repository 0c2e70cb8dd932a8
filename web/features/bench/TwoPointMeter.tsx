import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import {
  meterDisplay,
  ohmsDisplay,
  type ProbePoint,
  type Setup,
  type SimulatedMachine,
} from '@lettura/bench';
import { useState } from 'react';
import { Cautions } from '../../ui/Cautions.tsx';
import { Digits } from './Digits.tsx';
import { keyOf, type PointChoice } from './benchPoints.ts';
import { PointSelect } from './PointSelect.tsx';
import { useTick } from './useMachine.ts';

type Mode = 'volts' | 'ohms';

export interface TwoPointMeterProps {
  machine: SimulatedMachine;
  setup: Setup;
  points: readonly PointChoice[];
  seed: number;
}

/** A meter between any two points, for what the sheet's own meter at one point cannot tell: drops, ohms, tracks. */
export function TwoPointMeter({ machine, setup, points, seed }: TwoPointMeterProps) {
  const tick = useTick();
  const [mode, setMode] = useState<Mode>('volts');
  const [redChosen, setRed] = useState<ProbePoint>({ wire: 'return', place: 'plug' });
  const [blackChosen, setBlack] = useState<ProbePoint>('battery-negative');
  // A pin that is plugged in again cannot be reached any more.
  const reachable = (point: ProbePoint): ProbePoint =>
    points.some(({ key }) => key === keyOf(point)) ? point : 'battery-negative';
  const red = reachable(redChosen);
  const black = reachable(blackChosen);
  const volts = mode === 'volts' && meterDisplay(machine.voltsBetween(red, black, setup), seed, tick);
  const ohms = mode === 'ohms' && ohmsDisplay(machine, red, black, setup);
  return (
    <Box component="section" aria-label="Meter between two points">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'center' }}>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label="What the meter measures"
          value={mode}
          onChange={(_event, chosen: Mode | null) => chosen && setMode(chosen)}
        >
          <ToggleButton value="volts">Volts</ToggleButton>
          <ToggleButton value="ohms">Ohms</ToggleButton>
        </ToggleButtonGroup>
        <PointSelect label="Red probe" points={points} value={red} onChange={setRed} />
        <PointSelect label="Black probe" points={points} value={black} onChange={setBlack} />
        <Box sx={{ minWidth: 165, ml: 'auto' }}>
          {volts && <Digits name="Meter" digits={volts.text} unit={volts.unit} />}
          {ohms && <Digits name="Ohmmeter" digits={ohms.text} unit={ohms.unit} />}
        </Box>
      </Box>
      {ohms && (
        <Typography variant="body2">
          {ohms.beeps
            ? 'It beeps: the path conducts. A few ohms beep as well, and drop voltage under load.'
            : 'No beep.'}
        </Typography>
      )}
      {ohms && ohms.warning && <Cautions cautions={[ohms.warning]} />}
    </Box>
  );
}
