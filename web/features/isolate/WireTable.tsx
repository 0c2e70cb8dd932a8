import Box from '@mui/material/Box';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { laneSaid, placeSaid, type Lane, type MachineState, type Place } from '@lettura/core/machine/places';
import { LOOM_HIDES } from '@lettura/core/machine/fault';
import { ohmsFromDrop, shiftByOhms, type IsolatedSensor } from '@lettura/core/judge/isolation';
import {
  dropIsSmall,
  dropOver,
  laneSegments,
  ohmsJudged,
  ohmsOf,
  type Stretch,
} from '@lettura/core/judge/checks';
import { Cautions } from '../../ui/Cautions.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import { ohmsInWords } from '@lettura/core/measure/quantity';
import { BetweenField } from './BetweenField.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { shiftInWords } from './shiftInWords.ts';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { Said } from '../../ui/Said.tsx';
import { say } from '@lettura/core/measure/message';
import { said } from '../../ui/words.ts';

type Props = Pick<IsolatePanelProps, 'caseFile' | 'lanes' | 'units' | 'onBetween'> & {
  sensor: IsolatedSensor;
  chosen: Lane;
  onChoose: (lane: Lane) => void;
};

const LOADED: MachineState = { engine: 'koeo', plug: 'connected' };
const DEAD: MachineState = { engine: 'key-off', plug: 'unplugged' };
const STRETCHES: readonly (readonly [Place, Place])[] = [
  ['unit', 'plug'],
  ['unit', 'connector'],
  ['connector', 'plug'],
];

/** One wire measured along its length: the drop while it carries its current, the ohms while it carries none. */
export function WireTable({ caseFile, lanes, sensor, units, onBetween, chosen, onChoose }: Props) {
  const wires = lanes.filter((lane) => lane !== 'battery-feed');
  const segments = laneSegments(caseFile, chosen);
  const looking = segments.filter(({ state }) => state === 'faulty' || state === 'suspect');
  return (
    <Box>
      <ToggleButtonGroup
        exclusive
        size="small"
        aria-label="Wire"
        value={chosen}
        onChange={(_event, lane: Lane | null) => lane && onChoose(lane)}
        sx={{ flexWrap: 'wrap' }}
      >
        {wires.map((lane) => (
          <ToggleButton key={lane} value={lane}>
            {upperFirst(said(laneSaid(lane)))}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Box role="list" aria-label={`The ${said(laneSaid(chosen))} wire along its length`}>
        {STRETCHES.map(([from, to]) => {
          const stretch = { lane: chosen, from, to };
          const points = [
            { lane: chosen, place: from },
            { lane: chosen, place: to },
          ] as const;
          const name = upperFirst(stretchWords(from, to));
          return (
            <Box role="listitem" key={name} sx={{ borderTop: 1, borderColor: 'divider', py: 0.75 }}>
              <Typography sx={{ fontWeight: 600, mb: 0.75 }}>{name}</Typography>
              <Box
                sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fit, minmax(250px, 1fr))', gap: 1 }}
              >
                <Box>
                  <BetweenField
                    label="Drop: key on, plug connected"
                    name={`Drop, ${name.toLowerCase()}`}
                    placeholder="12 mV"
                    onEnter={(text) => onBetween('between', points, LOADED, text)}
                  />
                  <DropFound {...{ stretch, caseFile, sensor, units }} />
                </Box>
                <Box>
                  <BetweenField
                    label="Ohms: key off, plug off"
                    name={`Ohms, ${name.toLowerCase()}`}
                    placeholder="0.3"
                    onEnter={(text) => onBetween('ohms', points, DEAD, text)}
                  />
                  <OhmsFound {...{ stretch, caseFile, sensor, units }} />
                </Box>
              </Box>
            </Box>
          );
        })}
      </Box>
      {looking.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <strong>
            Look{' '}
            {looking
              .map(({ from, to }) => `between ${said(placeSaid(from))} and ${said(placeSaid(to))}`)
              .join(', and ')}
            .
          </strong>{' '}
          <Said message={LOOM_HIDES} />
        </Typography>
      )}
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Red on the first of the two places, black on the second. What is lost counts by its size: a minus sign
        says that the current flows from black to red.
      </Typography>
      <Cautions cautions={[say('isolation.ohms-power-off')]} />
    </Box>
  );
}

const stretchWords = (from: Place, to: Place): string => `${said(placeSaid(from))} to ${said(placeSaid(to))}`;

type Found = Pick<Props, 'caseFile' | 'sensor' | 'units'> & { stretch: Stretch };

function DropFound({ stretch, caseFile, sensor, units }: Found) {
  const drop = dropOver(stretch, caseFile);
  if (!drop) return null;
  const { lane } = stretch;
  return (
    <Typography variant="body2">
      <strong>{voltsInWords(drop.volts)}</strong>{' '}
      {dropIsSmall(drop, caseFile)
        ? '✓ next to nothing is lost'
        : `✕ lost on the way. ${shiftInWords(shiftByOhms(sensor, lane, ohmsFromDrop(sensor, lane, drop.volts)), lane, caseFile.profile.measures, units)}`}
    </Typography>
  );
}

function OhmsFound({ stretch, caseFile, sensor, units }: Found) {
  const reading = ohmsOf(stretch, caseFile);
  if (!reading) return null;
  const { lane } = stretch;
  const ohms = reading.ohms ?? Infinity;
  const judged = ohmsJudged(reading);
  const shift = () => shiftInWords(shiftByOhms(sensor, lane, ohms), lane, caseFile.profile.measures, units);
  const words = {
    few: 'conducts. A thread of copper does too: only the drop proves it.',
    'too-many': '✕ more than a wire has.',
    open: '✕ open',
  }[judged];
  return (
    <Typography variant="body2">
      <strong>{ohmsInWords(ohms)}</strong> {words} {judged === 'too-many' && shift()}
    </Typography>
  );
}
