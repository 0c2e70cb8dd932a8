import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import { LANE_WORDS, pairWords, type Lane, type MachineState, type Place } from '@lettura/core/evidence';
import { LOOM_HIDES } from '@lettura/core/fault';
import { ohmsFromDrop, shiftByOhms, type IsolatedSensor } from '@lettura/core/isolation';
import {
  dropIsSmall,
  dropOver,
  laneSegments,
  ohmsJudged,
  ohmsOf,
  voltsInWords,
} from '@lettura/core/reasoning';
import { Cautions } from '../../ui/Cautions.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import { ohmsInWords } from '../../ui/ohmsInWords.ts';
import { BetweenField } from './BetweenField.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { shiftInWords } from './shiftInWords.ts';

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
  const { measures } = caseFile.profile;
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
            {upperFirst(LANE_WORDS[lane])}
          </ToggleButton>
        ))}
      </ToggleButtonGroup>
      <Table
        size="small"
        aria-label={`The ${LANE_WORDS[chosen]} wire along its length`}
        sx={{ '& td, & th': { px: 1, py: 0.75, verticalAlign: 'top' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Stretch</TableCell>
            <TableCell sx={{ width: 260 }}>Drop: key on, plug connected</TableCell>
            <TableCell sx={{ width: 260 }}>Ohms: key off, plug off</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {STRETCHES.map(([from, to]) => {
            const stretch = { lane: chosen, from, to };
            const points = [
              { lane: chosen, place: from },
              { lane: chosen, place: to },
            ] as const;
            const drop = dropOver(stretch, caseFile);
            const ohms = ohmsOf(stretch, caseFile);
            const judged = ohms && ohmsJudged(ohms);
            const name = upperFirst(pairWords(...points).split(', ')[1] ?? '');
            return (
              <TableRow key={name}>
                <TableCell>{name}</TableCell>
                <TableCell>
                  <BetweenField
                    label={`Drop, ${name.toLowerCase()}`}
                    placeholder="12 mV"
                    onEnter={(text) => onBetween('between', points, LOADED, text)}
                  />
                  {drop && (
                    <Typography variant="body2">
                      <strong>{voltsInWords(drop.volts)}</strong>{' '}
                      {dropIsSmall(drop, caseFile)
                        ? '✓ next to nothing is lost'
                        : `✕ lost on the way. ${shiftInWords(shiftByOhms(sensor, chosen, ohmsFromDrop(sensor, chosen, drop.volts)), chosen, measures, units)}`}
                    </Typography>
                  )}
                </TableCell>
                <TableCell>
                  <BetweenField
                    label={`Ohms, ${name.toLowerCase()}`}
                    placeholder="0.3"
                    onEnter={(text) => onBetween('ohms', points, DEAD, text)}
                  />
                  {ohms && (
                    <Typography variant="body2">
                      <strong>{ohms.ohms === null ? 'OL' : ohmsInWords(ohms.ohms)}</strong>{' '}
                      {judged === 'few'
                        ? 'conducts. A thread of copper does too: only the drop proves it.'
                        : judged === 'open'
                          ? '✕ open'
                          : `✕ more than a wire has. ${shiftInWords(shiftByOhms(sensor, chosen, ohms.ohms ?? Infinity), chosen, measures, units)}`}
                    </Typography>
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      {looking.length > 0 && (
        <Typography sx={{ mt: 1 }}>
          <strong>
            Look{' '}
            {looking
              .map(
                ({ from, to }) =>
                  pairWords({ lane: chosen, place: from }, { lane: chosen, place: to }).split(', ')[1],
              )
              .join(' and ')}
            .
          </strong>{' '}
          {LOOM_HIDES}
        </Typography>
      )}
      <Cautions
        cautions={[
          'Ohms with the power off only, and with the plug off: anything alive makes the number nonsense.',
        ]}
      />
    </Box>
  );
}
