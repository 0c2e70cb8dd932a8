import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import { liveData } from '@lettura/bench';
import type { MachineState } from '@lettura/core/evidence';
import { formatWithBasis } from '@lettura/core/quantity';
import { useDispatch, useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Attachments } from './Attachments.tsx';
import { benchPoints } from './benchPoints.ts';
import { isClear, rigChanged, rigCleared, selectRig, type RigInHand } from './rigSlice.ts';
import { TwoPointMeter } from './TwoPointMeter.tsx';
import { useMachine, type BenchJob } from './useMachine.ts';

const MOVED = ['throttle', 'pedal', 'flap'];

export interface BenchToolsProps {
  jobId: string;
  bench: BenchJob;
  state: MachineState;
}

/** The simulated machine under one's hands: what can be clipped on, unplugged, moved and held, and what it does. */
export function BenchTools({ jobId, bench, state }: BenchToolsProps) {
  const machine = useMachine(bench);
  const rig = useSelector(selectRig(jobId));
  const units = useSelector(selectUnits);
  const dispatch = useDispatch();
  const change = (part: Partial<RigInHand>) => dispatch(rigChanged({ jobId, change: part }));
  const { positionPercent, ...clips } = rig;
  const setup = { ...clips, state: { ...state, positionPercent } };
  const points = benchPoints(machine.machine, state.plug === 'connected');
  const data = liveData(machine, setup);
  const { profile, family } = machine.machine.sensor;
  const neighbours = machine.machine.wiring.rails.flatMap(({ neighbourOhms }) => neighbourOhms);
  const hasLamp = rig.attachments.some(({ kind }) => kind === 'test-light');
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TwoPointMeter machine={machine} setup={setup} points={points} seed={bench.seed} />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2 }}>
        <Typography sx={{ flex: 1, minWidth: 260 }}>
          <strong>Live data:</strong>{' '}
          {data
            ? `${formatWithBasis(data.value, profile.measures, units.absolute)} · ${data.codes.length > 0 ? `sets ${data.codes.join(' and ')}` : 'no code set'}`
            : 'no answer with the key off'}
        </Typography>
        <FormControlLabel
          control={<Switch checked={rig.wiggled} onChange={(_event, on) => change({ wiggled: on })} />}
          label="Move the loom"
        />
        {neighbours.map((_, i) => (
          <FormControlLabel
            key={i}
            control={
              <Switch
                checked={rig.neighboursOff.includes(i)}
                onChange={(_event, off) =>
                  change({
                    neighboursOff: off
                      ? [...rig.neighboursOff, i]
                      : rig.neighboursOff.filter((other) => other !== i),
                  })
                }
              />
            }
            label={`Unplug the other sensor on the reference${neighbours.length > 1 ? ` (${i + 1})` : ''}`}
          />
        ))}
        {!isClear(rig) && (
          <Button variant="outlined" onClick={() => dispatch(rigCleared(jobId))}>
            Clear the bench
          </Button>
        )}
      </Box>
      {MOVED.includes(family) && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 1 }}>
          <Typography id="held-position" sx={{ whiteSpace: 'nowrap' }}>
            Held by hand
          </Typography>
          <Slider
            aria-labelledby="held-position"
            value={positionPercent ?? 0}
            step={1}
            valueLabelDisplay="auto"
            valueLabelFormat={(percent) => `${percent} %`}
            onChange={(_event, percent) => change({ positionPercent: percent })}
          />
          <Typography sx={{ minWidth: 96 }}>
            {positionPercent === undefined ? 'let go' : `${positionPercent} %`}
          </Typography>
        </Box>
      )}
      <Attachments
        points={points}
        attachments={rig.attachments}
        lampAmps={hasLamp ? machine.lampAmps(setup) : undefined}
        onChange={(attachments) => change({ attachments })}
      />
    </Box>
  );
}
