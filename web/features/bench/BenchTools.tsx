import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Slider from '@mui/material/Slider';
import Switch from '@mui/material/Switch';
import Typography from '@mui/material/Typography';
import {
  harnessOf,
  NO_HARNESS_WORK,
  type Attachment,
  type HarnessWork,
  type MachineState,
} from '@lettura/core/machine/places';
import { formatWithBasis } from '@lettura/core/measure/quantity';
import { isLinked } from '@lettura/core/machine/family';
import { useState } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { Attachments } from './Attachments.tsx';
import { benchPoints } from './benchPoints.ts';
import { TwoPointMeter, type MeterSet } from './TwoPointMeter.tsx';
import { useHeldPump } from './useHeldPump.ts';
import { useLiveData } from './useLiveData.ts';
import { useMachine, type BenchJob } from './useMachine.ts';
import { t } from '../../ui/words.ts';

const FIRST: MeterSet = { mode: 'volts', red: { lane: 'return', place: 'plug' }, black: 'battery-negative' };
const SECOND: MeterSet = { mode: 'volts', red: { lane: 'signal', place: 'unit' }, black: 'battery-negative' };

export interface BenchToolsProps {
  bench: BenchJob;
  state: MachineState;
  /** Where the meter stands at first. */
  start?: MeterSet | undefined;
  onState: (change: Partial<MachineState>) => void;
  /** A reading between two points, as the display shows it. */
  onTake: (set: MeterSet, state: MachineState, text: string) => void;
}

/** The simulated machine under one's hands: what can be clipped on, unplugged, moved and held, and what it does. */
export function BenchTools({ bench, state, start = FIRST, onState, onTake }: BenchToolsProps) {
  const machine = useMachine(bench);
  const units = useSelector(selectUnits);
  const [first, setFirst] = useState(start);
  const [second, setSecond] = useState<MeterSet>();
  const held = useHeldPump(state, bench.seed);
  const harness = state.harness ?? NO_HARNESS_WORK;
  const work = (change: Partial<HarnessWork>) => onState({ harness: harnessOf({ ...harness, ...change }) });
  const points = benchPoints(machine.machine, state.plug === 'connected');
  const { data } = useLiveData(machine, held);
  const { profile, family } = machine.machine.sensor;
  const neighbours = machine.machine.wiring.rails.flatMap(({ neighbourOhms }) => neighbourOhms);
  const hasLamp = harness.attachments.some(({ kind }) => kind === 'test-light');
  const percent = state.stimulus?.kind === 'held' ? state.stimulus.percent : undefined;
  return (
    <Box sx={{ display: 'grid', gap: 1 }}>
      <TwoPointMeter
        name="Meter"
        machine={machine}
        state={withMeter(held, second)}
        points={points}
        seed={bench.seed}
        set={first}
        onSet={setFirst}
        onTake={(set, text) => onTake(set, withMeter(state, second), text)}
      />
      {second && (
        <TwoPointMeter
          name={t('ui-bench.second-meter')}
          machine={machine}
          state={withMeter(held, first)}
          points={points}
          seed={bench.seed + 1}
          set={second}
          onSet={setSecond}
          onTake={(set, text) => onTake(set, withMeter(state, first), text)}
        />
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', columnGap: 2 }}>
        <Typography sx={{ flex: 1, minWidth: 260 }}>
          <strong>{t('ui-bench.live-data')}</strong>{' '}
          {data
            ? `${formatWithBasis(data.value, profile.measures, units.absolute)} · ${data.codes.length > 0 ? t('ui-bench.sets', { codes: data.codes.join(' and ') }) : t('ui-bench.no-code-set')}`
            : t('ui-bench.no-answer-key-off')}
        </Typography>
        <FormControlLabel
          control={
            <Switch
              checked={second !== undefined}
              onChange={(_event, on) => setSecond(on ? SECOND : undefined)}
            />
          }
          label={t('ui-bench.second-meter')}
        />
        <FormControlLabel
          control={<Switch checked={harness.wiggled} onChange={(_event, on) => work({ wiggled: on })} />}
          label={t('ui-bench.move-loom')}
        />
        {neighbours.map((_, i) => (
          <FormControlLabel
            key={i}
            control={
              <Switch
                checked={harness.neighboursOff.includes(i)}
                onChange={(_event, off) =>
                  work({
                    neighboursOff: off
                      ? [...harness.neighboursOff, i]
                      : harness.neighboursOff.filter((other) => other !== i),
                  })
                }
              />
            }
            label={t('ui-bench.unplug-other-sensor-reference', {
              which: neighbours.length > 1 ? ` (${i + 1})` : '',
            })}
          />
        ))}
        {(state.harness || percent !== undefined) && (
          <Button
            variant="outlined"
            onClick={() =>
              onState({
                harness: undefined,
                ...(percent === undefined ? {} : { stimulus: undefined }),
              })
            }
          >
            {t('ui-bench.clear-bench')}
          </Button>
        )}
      </Box>
      {isLinked(family) && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 2, px: 1 }}>
          <Typography id="held-position" sx={{ whiteSpace: 'nowrap' }}>
            {t('ui-bench.held-hand')}
          </Typography>
          <Slider
            aria-labelledby="held-position"
            value={percent ?? 0}
            step={1}
            valueLabelDisplay="auto"
            valueLabelFormat={(at) => `${at} %`}
            onChange={(_event, at) => onState({ stimulus: { kind: 'held', percent: at } })}
          />
          <Typography sx={{ minWidth: 96 }}>
            {percent === undefined ? t('ui-bench.let-go') : `${percent} %`}
          </Typography>
        </Box>
      )}
      <Attachments
        points={points}
        attachments={harness.attachments}
        lampAmps={hasLamp ? machine.lampAmps(held) : undefined}
        onChange={(attachments) => work({ attachments })}
      />
    </Box>
  );
}

/** The other meter is in the circuit as well, while it reads volts: ten megohms between its probes. */
function withMeter(state: MachineState, other: MeterSet | undefined): MachineState {
  if (!other || other.mode === 'ohms') return state;
  const harness = state.harness ?? NO_HARNESS_WORK;
  const meter: Attachment = { kind: 'meter', from: other.red, to: other.black };
  return { ...state, harness: { ...harness, attachments: [...harness.attachments, meter] } };
}
