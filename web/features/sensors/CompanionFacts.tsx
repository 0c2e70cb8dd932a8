import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { pairLimitPercent, type Companion } from '@lettura/core/measure/companion';
import { temperatureSignalVolts, thermistorOhms } from '@lettura/core/measure/thermistor';
import type { SensorProfile } from '@lettura/core/measure/transfer';
import { NUMERALS } from '../../app/theme.ts';

const CELSIUS = [-20, 0, 20, 40, 60, 80, 100];

/** What else the body reports: how the tracks belong together, or the thermistor as ohms and volts. */
export function CompanionFacts({ companion, profile }: { companion: Companion; profile: SensorProfile }) {
  if (companion.kind === 'second-track') {
    const { pair, separateFeeds } = companion;
    return (
      <Box>
        <Typography variant="h3" component="h3">
          Second track
        </Typography>
        <Typography variant="body2">
          {pair.law === 'mirrored'
            ? 'Mirrored: both tracks make up the reference at every angle.'
            : `Track 1 is ${pair.ratio} times track 2${pair.offsetVolts === 0 ? '' : `, plus ${pair.offsetVolts} V`}.`}{' '}
          {separateFeeds
            ? 'Each track has its own reference and return.'
            : 'Both share reference and return: both dead together points at a shared feed, also inside the housing.'}{' '}
          They may part by {pairLimitPercent(companion)} % of the reference
          {companion.limitPercentOfReference === undefined ? ', the usual limit (common practice).' : '.'}
        </Typography>
      </Box>
    );
  }
  const { nominalReferenceVolts } = profile;
  return (
    <Box>
      <Typography variant="h3" component="h3">
        Temperature signal
      </Typography>
      <Typography variant="body2">
        Thermistor by {companion.thermistor.law === 'beta' ? 'β' : 'Steinhart–Hart'}, pulled up with{' '}
        {companion.pullUpOhms} Ω in the control unit: the colder, the higher.
      </Typography>
      <Table
        size="small"
        aria-label="Temperature signal"
        sx={{ maxWidth: 460, '& td': { fontFamily: NUMERALS } }}
      >
        <TableHead>
          <TableRow>
            <TableCell align="right">°C</TableCell>
            <TableCell align="right">Ω, power off</TableCell>
            <TableCell align="right">Signal</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {CELSIUS.map((celsius) => (
            <TableRow key={celsius}>
              <TableCell align="right">{celsius}</TableCell>
              <TableCell align="right">
                {Math.round(thermistorOhms(celsius, companion.thermistor)).toLocaleString('en')}
              </TableCell>
              <TableCell align="right">
                {temperatureSignalVolts(celsius, nominalReferenceVolts, companion).toFixed(2)} V
              </TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
    </Box>
  );
}
