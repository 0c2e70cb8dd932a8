import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { isOnSensor, pairSaid, type MachineState } from '@lettura/core/machine/places';
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
import { SensorAlone } from './SensorAlone.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { Said } from '../../ui/Said.tsx';
import { said, t } from '../../ui/words.ts';

const OFF: MachineState = { engine: 'key-off', plug: 'unplugged' };
const JUDGED = {
  usual: t('ui-isolate.as-usual'),
  low: t('ui-isolate.less-than-usual'),
  high: t('ui-isolate.more-than-usual'),
} as const;

/** The sensor by itself, plug off: continuity of each track, the body across its supply, the thermistor. */
export function SensorPins({
  caseFile,
  sensor,
  state,
  onBetween,
}: Pick<IsolatePanelProps, 'caseFile' | 'state' | 'onBetween'> & { sensor: IsolatedSensor }) {
  const alone = <SensorAlone {...{ caseFile, sensor, onBetween }} />;
  // Who has it fed past its plug already came for that.
  const isFed = isOnSensor(state.harness);
  return (
    <>
      {isFed && alone}
      <Table
        size="small"
        aria-label={t('ui-isolate.ohms-sensor-itself')}
        sx={{
          '& td, & th': { px: 1, py: 0.75, verticalAlign: 'top' },
          // On a phone, and beside the next reading on a tablet, three columns are too narrow: what belongs together stands below each other.
          '& thead': { display: { xs: 'none', md: 'table-header-group' } },
          '& tr': { display: { xs: 'block', md: 'table-row' }, py: { xs: 1, md: 0 } },
          '& td': { display: { xs: 'block', md: 'table-cell' }, border: { xs: 0, md: undefined } },
        }}
      >
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-isolate.across')}</TableCell>
            <TableCell>{t('ui-isolate.usual-else-may-mean')}</TableCell>
            <TableCell sx={{ width: { md: 260 } }}>{t('ui-isolate.ohms')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {pinTests(sensor).map((test) => {
            const across = upperFirst(said(pairSaid(test.from, test.to)).split(',')[0] ?? '');
            const reading = pinReading(test, caseFile.isolation);
            return (
              <TableRow key={across}>
                <TableCell sx={{ fontWeight: { xs: 700, md: 400 } }}>{across}</TableCell>
                <TableCell>
                  <strong>{usualInWords(test)}</strong> <Said message={test.watch} />
                  <Typography variant="body2">
                    <Said message={test.otherwise} />
                  </Typography>
                </TableCell>
                <TableCell>
                  <BetweenField
                    label={t('ui-isolate.ohms-2', { across: across.toLowerCase() })}
                    placeholder="4.1k"
                    onEnter={(text) => onBetween('ohms', [test.from, test.to], OFF, text)}
                  />
                  {reading && (
                    <Typography variant="body2" sx={{ fontWeight: 600 }}>
                      {reading.ohms === null ? t('ui-isolate.ol') : ohmsInWords(reading.ohms)}:{' '}
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
        {t('ui-isolate.plug-off-probes-sensors-own')}
      </Typography>
      {!isFed && alone}
    </>
  );
}

const usualInWords = ({ lowestOhms, highestOhms }: PinTest): string =>
  lowestOhms === 0
    ? t('ui-isolate.up-to', { ohms: ohmsInWords(highestOhms) })
    : t('ui-isolate.to', { ohms: ohmsInWords(lowestOhms), ohms2: ohmsInWords(highestOhms) });
