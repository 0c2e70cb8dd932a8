import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Sensor } from '@lettura/contract';
import { canBePumped, isPumpedDown } from '@lettura/core/machine/family';
import { formatValue, isPressure, shownUnit } from '@lettura/core/measure/quantity';
import { pairDeviation } from '@lettura/core/measure/positionPair';
import { NUMERALS } from '../../app/theme.ts';
import type { Units } from '../../ui/units.ts';
import { stimulusTable } from './stimulusTable.ts';
import type { Surroundings } from './useSurroundings.tsx';
import { t } from '../../ui/words.ts';

export interface TableProps {
  sensor: Sensor;
  surroundings: Surroundings;
  units: Units;
}

function titleOf({ family, profile: { measures } }: Sensor): string {
  if (isPressure(measures))
    return canBePumped(family) ? t('ui-sensors.pump-table') : t('ui-sensors.pressure-table');
  return measures === 'air-flow' ? t('ui-sensors.flow-table') : t('ui-sensors.travel-table');
}

/** What it should read as the stimulus goes up: a pump table for pressures, travel or flow for the others. */
export function StimulusRows({ sensor, surroundings, units }: TableProps) {
  const { family, profile, companion } = sensor;
  const { measures, nominalReferenceVolts } = profile;
  const { ambient, sensorCelsius } = surroundings;
  const absolute = measures === 'absolute-pressure';
  if (absolute && !ambient) return null;
  const rows = stimulusTable(sensor, ambient?.pressureKpaAbs ?? 0, units, sensorCelsius);
  const pumped = isPressure(measures);
  const pair = companion?.kind === 'second-track' ? companion.pair : undefined;
  const down = isPumpedDown(family, measures);
  const unit = down ? units.vacuum : shownUnit(measures, units.absolute);
  return (
    <Box>
      <Typography variant="h3" component="h3">
        {titleOf(sensor)}
      </Typography>
      <Table
        size="small"
        aria-label={pumped ? t('ui-sensors.pump-table-should-read') : t('ui-sensors.each-step-should-read')}
        sx={{ '& td, & th': { px: 1 }, '& td': { fontFamily: NUMERALS, whiteSpace: 'nowrap' } }}
      >
        <TableHead>
          <TableRow>
            <TableCell align="right">{down ? t('ui-sensors.of-vacuum', { unit }) : unit}</TableCell>
            {absolute && <TableCell align="right">{t('ui-sensors.absolute')}</TableCell>}
            <TableCell align="right">{t('ui-sensors.signal')}</TableCell>
            <TableCell align="right">{t('ui-sensors.from-to')}</TableCell>
            {pair && <TableCell align="right">{t('ui-sensors.track-2')}</TableCell>}
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map((row) => (
            <TableRow key={row.setting}>
              <TableCell align="right">{Number(row.setting.toFixed(3))}</TableCell>
              {absolute && (
                <TableCell align="right">{formatValue(row.value, measures, units.absolute)}</TableCell>
              )}
              <TableCell align="right">{row.volts.toFixed(2)} V</TableCell>
              <TableCell align="right">
                {row.lowestVolts.toFixed(2)} – {row.highestVolts.toFixed(2)} V
              </TableCell>
              {pair && (
                <TableCell align="right">
                  {pairDeviation(row.volts, 0, nominalReferenceVolts, pair).expectedSecondVolts.toFixed(2)} V
                </TableCell>
              )}
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
