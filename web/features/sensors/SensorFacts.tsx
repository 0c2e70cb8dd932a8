import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Sensor } from '@lettura/contract';
import { ambientFrom, formatPressure, parseReading } from '@lettura/core/quantity';
import { lazy, Suspense, useState } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { NUMERALS } from '../../app/theme.ts';
import { Loading } from '../../ui/Centred.tsx';
import { expectedTable } from './expectedTable.ts';

const CurveChart = lazy(() => import('./CurveChart.tsx'));

const BIAS_WORDS = {
  'pull-up': 'pulled up: about the reference with the plug off',
  'pull-down': 'pulled down: about 0 V with the plug off',
  unknown: 'not known',
} as const;

/** One sensor: its curve, its limits, and what a pump table should read at this ambient. */
export function SensorFacts({ sensor }: { sensor: Sensor }) {
  const { profile, name, source } = sensor;
  const units = useSelector(selectUnits);
  const [ambientText, setAmbientText] = useState('101.3 kPa');
  const typed = parseReading(ambientText, units.absolute);
  const ambient = typed.ok ? ambientFrom({ source: 'barometer', stationKpaAbs: typed.value.value }) : typed;
  const show = (kpa: number) => formatPressure(kpa, units.absolute);
  return (
    <Box>
      <Typography variant="h2" component="h2">
        {name}
      </Typography>
      <Typography variant="body2">{source}. The maker’s data overrules these values.</Typography>
      <Suspense fallback={<Loading what="the curve" />}>
        <CurveChart
          profile={profile}
          unit={units.absolute}
          points={profile.transfer.form === 'table' ? profile.transfer.points : []}
        />
      </Suspense>
      <Typography variant="body2">
        Range {show(profile.lowestKpaAbs)} to {show(profile.highestKpaAbs)} absolute, ±
        {show(profile.toleranceKpa)}. Reference {profile.nominalReferenceVolts.toFixed(2)} V, output{' '}
        {profile.transfer.form === 'ratiometric' ||
        (profile.transfer.form === 'table' && profile.transfer.ratiometric)
          ? 'follows the reference'
          : 'does not follow the reference'}
        . Circuit low below {profile.circuitLowVolts.toFixed(2)} V, high above{' '}
        {profile.circuitHighVolts.toFixed(2)} V. Input {BIAS_WORDS[profile.bias]}.
      </Typography>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', mt: 2, flexWrap: 'wrap' }}>
        <Typography variant="h3" component="h3">
          Pump table
        </Typography>
        <TextField
          size="small"
          label="Ambient pressure"
          value={ambientText}
          onChange={(event) => setAmbientText(event.target.value)}
          error={!ambient.ok}
          helperText={ambient.ok ? undefined : `${ambient.problem.message} ${ambient.problem.next}`}
        />
      </Box>
      {ambient.ok && (
        <Table size="small" aria-label="What a pump table should read">
          <TableHead>
            <TableRow>
              <TableCell align="right">{units.vacuum} of vacuum</TableCell>
              <TableCell align="right">Absolute</TableCell>
              <TableCell align="right">Signal</TableCell>
              <TableCell align="right">From – to</TableCell>
            </TableRow>
          </TableHead>
          <TableBody>
            {expectedTable(profile, ambient.value.pressureKpaAbs, units.vacuum).map((row) => (
              <TableRow
                key={row.vacuum}
                sx={{ '& td': { fontFamily: NUMERALS, whiteSpace: 'nowrap', px: 1 } }}
              >
                <TableCell align="right">{Number(row.vacuum.toFixed(3))}</TableCell>
                <TableCell align="right">{show(row.kpaAbs)}</TableCell>
                <TableCell align="right">{row.volts.toFixed(2)} V</TableCell>
                <TableCell align="right">
                  {row.lowestVolts.toFixed(2)} – {row.highestVolts.toFixed(2)} V
                </TableCell>
              </TableRow>
            ))}
          </TableBody>
        </Table>
      )}
    </Box>
  );
}
