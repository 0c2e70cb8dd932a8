import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { pairSaid, type MachineState } from '@lettura/core/machine/places';
import {
  pinJudged,
  pinReading,
  pinTests,
  type IsolatedSensor,
  type PinTest,
} from '@lettura/core/judge/isolation';
import { upperFirst } from '../../ui/inWords.ts';
import { ohmsInWords } from '@lettura/core/measure/quantity';
import { BetweenField } from './BetweenField.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { Said } from '../../ui/Said.tsx';
import { said } from '../../ui/words.ts';

const OFF: MachineState = { engine: 'key-off', plug: 'unplugged' };
const JUDGED = { usual: '✓ as usual', low: '▼ less than usual', high: '▲ more than usual' } as const;

/** The sensor by itself, plug off: continuity of each track, the body across its supply, the thermistor. */
export function SensorPins({
  caseFile,
  sensor,
  onBetween,
}: Pick<IsolatePanelProps, 'caseFile' | 'onBetween'> & { sensor: IsolatedSensor }) {
  return (
    <>
      <Table
        size="small"
        aria-label="Ohms of the sensor by itself"
        sx={{ '& td, & th': { px: 1, py: 0.75, verticalAlign: 'top' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>Across</TableCell>
            <TableCell>Usual, and what else it may mean</TableCell>
            <TableCell sx={{ width: 260 }}>Ohms</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {pinTests(sensor).map((test) => {
            const across = upperFirst(said(pairSaid(test.from, test.to)).split(',')[0] ?? '');
            const reading = pinReading(test, caseFile.isolation);
            return (
              <TableRow key={across}>
                <TableCell>{across}</TableCell>
                <TableCell>
                  <strong>{usualInWords(test)}</strong> <Said message={test.watch} />
                  <Typography variant="body2">
                    <Said message={test.otherwise} />
                  </Typography>
                </TableCell>
                <TableCell>
                  <BetweenField
                    label={`Ohms, ${across.toLowerCase()}`}
                    placeholder="4.1k"
                    onEnter={(text) => onBetween('ohms', [test.from, test.to], OFF, text)}
                  />
                  {reading && (
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                      {reading.ohms === null ? 'OL' : ohmsInWords(reading.ohms)}:{' '}
                      {JUDGED[pinJudged(test, reading)]}
                    </Typography>
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        Plug off, probes on the sensor’s own pins. Ranges are common practice; the maker’s data or a
        known-good part overrule them. A resistance that is right does not prove electronics.
      </Typography>
    </>
  );
}

const usualInWords = ({ lowestOhms, highestOhms }: PinTest): string =>
  lowestOhms === 0
    ? `Up to ${ohmsInWords(highestOhms)}.`
    : `${ohmsInWords(lowestOhms)} to ${ohmsInWords(highestOhms)}.`;
