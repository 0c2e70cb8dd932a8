import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { barometerDisplay } from '@lettura/bench';
import type { MachineState, Target } from '@lettura/core/evidence';
import { useSelector } from 'react-redux';
import { Digits } from './Digits.tsx';
import { instrumentAt } from './instrumentAt.ts';
import { isClear, selectRig } from './rigSlice.ts';
import { useMachine, useTick, type BenchJob } from './useMachine.ts';

export interface BenchPanelProps {
  jobId: string;
  bench: BenchJob;
  state: MachineState;
  target: Target;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  onTake: (text: string) => void;
}

/** The simulated machine obeys the state bar; its instruments stand where the selected point is. */
export function BenchPanel({ jobId, bench, state, target, onTake }: BenchPanelProps) {
  const tick = useTick();
  const machine = useMachine(bench);
  const rig = useSelector(selectRig(jobId));
  const { positionPercent, ...clips } = rig;
  const setup = { ...clips, state: { ...state, positionPercent } };
  const display = instrumentAt(machine, setup, target, bench.seed, tick);
  const barometer = barometerDisplay(machine).toFixed(1);
  const clear = isClear(rig);
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
      <Digits {...display} />
      {display.remark && <Typography variant="body2">{display.remark}</Typography>}
      {!clear && (
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          Something is attached or held under Bench. Clear it there before a reading is taken for the record.
        </Typography>
      )}
      <Button
        fullWidth
        variant="contained"
        disabled={display.text === undefined || !clear}
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
