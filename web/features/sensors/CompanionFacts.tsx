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
import { t } from '../../ui/words.ts';

const CELSIUS = [-20, 0, 20, 40, 60, 80, 100];

/** What else the body reports: how the tracks belong together, or the thermistor as ohms and volts. */
export function CompanionFacts({ companion, profile }: { companion: Companion; profile: SensorProfile }) {
  if (companion.kind === 'second-track') {
    const { pair, separateFeeds } = companion;
    return (
      <Box>
        <Typography variant="h3" component="h3">
          {t('ui-sensors.second-track')}
        </Typography>
        <Typography variant="body2">
          {t('ui-sensors.they-may-part-reference', {
            which:
              pair.law === 'mirrored'
                ? t('ui-sensors.mirrored-both-tracks-make-up')
                : t('ui-sensors.track-1-times-track-2', {
                    ratio: pair.ratio,
                    which:
                      pair.offsetVolts === 0 ? '' : t('ui-sensors.plus-v', { offsetVolts: pair.offsetVolts }),
                  }),
            which2: separateFeeds
              ? t('ui-sensors.each-track-own-reference-return')
              : t('ui-sensors.both-share-reference-return-both'),
            pairLimitPercent: pairLimitPercent(companion),
            which3:
              companion.limitPercentOfReference === undefined
                ? t('ui-sensors.usual-limit-common-practice')
                : '.',
          })}
        </Typography>
      </Box>
    );
  }
  const { nominalReferenceVolts } = profile;
  return (
    <Box>
      <Typography variant="h3" component="h3">
        {t('ui-sensors.temperature-signal')}
      </Typography>
      <Typography variant="body2">
        {t('ui-sensors.thermistor-pulled-up-control-unit', {
          which: companion.thermistor.law === 'beta' ? 'β' : t('ui-sensors.steinhart-hart'),
          pullUpOhms: companion.pullUpOhms,
        })}
      </Typography>
      <Table
        size="small"
        aria-label={t('ui-sensors.temperature-signal')}
        sx={{ maxWidth: 460, '& td': { fontFamily: NUMERALS } }}
      >
        <TableHead>
          <TableRow>
            <TableCell align="right">°C</TableCell>
            <TableCell align="right">{t('ui-sensors.power-off')}</TableCell>
            <TableCell align="right">{t('ui-sensors.signal')}</TableCell>
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
