import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { barometerDisplay } from '@lettura/bench';
import { harnessSaid, type MachineState, type Target } from '@lettura/core/machine/places';
import { upperFirst } from '../../ui/inWords.ts';
import { Digits } from './Digits.tsx';
import { instrumentAt } from './instrumentAt.ts';
import { useHeldPump } from './useHeldPump.ts';
import { useLiveData } from './useLiveData.ts';
import { useMachine, useTick, type BenchJob } from './useMachine.ts';
import { valueSaid, t } from '../../ui/words.ts';

export interface BenchPanelProps {
  bench: BenchJob;
  state: MachineState;
  target: Target;
  /** The reading in the words of the quick entry, so that it goes the same way as a typed one. */
  onTake: (text: string) => void;
}

/** The simulated machine obeys the state bar; its instruments stand where the selected point is. */
export function BenchPanel({ bench, state, target, onTake }: BenchPanelProps) {
  const tick = useTick();
  const machine = useMachine(bench);
  const held = useHeldPump(state, bench.seed);
  const { data, catchingUp } = useLiveData(machine, held);
  const display = instrumentAt(machine, held, target, { seed: bench.seed, tick, liveData: data });
  const barometer = barometerDisplay(machine).toFixed(1);
  const late = target.kind === 'scan' && catchingUp;
  return (
    <Box
      component="section"
      aria-label={t('ui-bench.simulated-instruments')}
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
        {t('ui-bench.simulated', { name: display.name })}
      </Typography>
      <Digits {...display} />
      {display.remark && <Typography variant="body2">{display.remark}</Typography>}
      {state.harness && (
        <Typography variant="body2" sx={{ fontWeight: 600 }}>
          {t('ui-bench.goes-record-reading', { harness: upperFirst(valueSaid(harnessSaid(state.harness))) })}
        </Typography>
      )}
      <Button
        fullWidth
        variant="contained"
        disabled={display.text === undefined || late}
        onClick={() => display.text && onTake(display.text)}
      >
        {late ? t('ui-bench.live-data-catching-up') : t('ui-bench.take-reading')}
      </Button>
      <Button fullWidth color="inherit" onClick={() => onTake(`baro ${barometer} kPa`)} sx={{ mt: 0.5 }}>
        {t('ui-bench.barometer-kpa-take', { barometer })}
      </Button>
    </Box>
  );
}
