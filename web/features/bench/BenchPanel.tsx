import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import {
  barometerDisplay,
  faultOfCase,
  gaugeDisplay,
  liveDataDisplay,
  meterDisplay,
  simulatedMachine,
} from '@lettura/bench';
import type { Job } from '@lettura/contract';
import {
  THREE_WIRES,
  type Lane,
  type MachineState,
  type Target,
  type ThreeWire,
} from '@lettura/core/evidence';
import { useEffect, useMemo, useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';

/** How often the simulated meter renews its digits. */
const TICK_MS = 400;

export interface BenchPanelProps {
  bench: NonNullable<Job['bench']>;
  state: MachineState;
  target: Target;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  onTake: (text: string) => void;
}

/** The simulated machine obeys the state bar; its instruments stand where the selected point is. */
export function BenchPanel({ bench, state, target, onTake }: BenchPanelProps) {
  const tick = useTick();
  const machine = useMemo(() => simulatedMachine(faultOfCase(bench.caseLetter), bench.seed), [bench]);
  const display = useMemo(
    () => instrumentAt(machine, bench.seed, state, target, tick),
    [machine, bench.seed, state, target, tick],
  );
  const barometer = barometerDisplay(machine).toFixed(1);
  return (
    <Box
      component="section"
      aria-label="Simulated instruments"
      sx={{
        width: 232,
        border: 1,
        borderColor: 'sheet.rule',
        borderRadius: 1,
        p: 1.25,
        bgcolor: 'sheet.inset',
      }}
    >
      <Typography variant="body2" sx={{ fontWeight: 700 }}>
        {display.name} (simulated)
      </Typography>
      <Box
        role="img"
        aria-label={`${display.name} shows ${display.digits} ${display.unit}`}
        sx={{ fontFamily: NUMERALS, textAlign: 'right', my: 0.25, whiteSpace: 'nowrap' }}
      >
        <Box component="span" sx={{ fontSize: '2.3rem', fontWeight: 650 }}>
          {display.digits}
        </Box>{' '}
        <Box component="span" sx={{ fontSize: '0.95rem' }}>
          {display.unit}
        </Box>
      </Box>
      {display.remark && <Typography variant="body2">{display.remark}</Typography>}
      <Button
        fullWidth
        variant="contained"
        disabled={display.text === undefined}
        onClick={() => display.text && onTake(display.text)}
      >
        Take this reading
      </Button>
      <Button fullWidth color="inherit" onClick={() => onTake(`baro ${barometer} kPa`)} sx={{ mt: 0.5 }}>
        Barometer {barometer} kPa: take
      </Button>
    </Box>
  );
}

interface Display {
  name: string;
  digits: string;
  unit: string;
  text?: string;
  remark?: string;
}

function instrumentAt(
  machine: ReturnType<typeof simulatedMachine>,
  seed: number,
  state: MachineState,
  target: Target,
  tick: number,
): Display {
  switch (target.kind) {
    case 'wire': {
      if (!isThreeWire(target.lane)) {
        return {
          name: 'Meter, volts DC',
          digits: '–',
          unit: '',
          remark: 'This machine’s sensor has no such wire.',
        };
      }
      const { text, unit } = meterDisplay(machine.voltsAt(target.lane, target.place, state), seed, tick);
      return { name: 'Meter, volts DC', digits: text, unit, text: `${text} ${unit}` };
    }
    case 'gauge': {
      const digits = gaugeDisplay(machine, state, seed).vacuumInHg.toFixed(2);
      const tap = target.tap === 'manifold' ? 'manifold ' : '';
      return { name: 'Vacuum gauge', digits, unit: 'inHg vac', text: `gauge ${tap}${digits} inHg vac` };
    }
    case 'scan': {
      const live = liveDataDisplay(machine, state);
      if (!live) return { name: 'Live data', digits: '–', unit: '', remark: 'No answer with the key off.' };
      const digits = live.pressureKpaAbs.toFixed(0);
      const remark = live.code ? `The unit sets ${live.code}.` : 'No code set.';
      return { name: 'Live data', digits, unit: 'kPa abs', text: `scan ${digits} kPa`, remark };
    }
  }
}

const isThreeWire = (lane: Lane): lane is ThreeWire => THREE_WIRES.some((wire) => wire === lane);

function useTick(): number {
  const [tick, setTick] = useState(1);
  useEffect(() => {
    const timer = setInterval(() => setTick((n) => n + 1), TICK_MS);
    return () => clearInterval(timer);
  }, []);
  return tick;
}
