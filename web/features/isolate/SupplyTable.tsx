import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import visuallyHidden from '@mui/utils/visuallyHidden';
import type { Lane } from '@lettura/core/machine/places';
import { ohmsFromDrop, shiftByOhms, type IsolatedSensor } from '@lettura/core/judge/isolation';
import { supplyCheck, type SupplyStep } from '@lettura/core/judge/checks';
import { NUMERALS } from '../../app/theme.ts';
import { placeInWords } from '../../ui/inWords.ts';
import { BetweenField } from './BetweenField.tsx';
import type { IsolatePanelProps } from './isolatePanelProps.ts';
import { shiftInWords } from './shiftInWords.ts';
import { voltsInWords } from '../../ui/numbersInWords.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

type Props = Pick<IsolatePanelProps, 'caseFile' | 'lanes' | 'units' | 'onGo' | 'onBetween'> & {
  sensor: IsolatedSensor;
};

const MARK = { good: t('ui-isolate.good'), bad: t('ui-isolate.not-good'), open: '' } as const;
const COLOUR = { good: 'standing.proven', bad: 'standing.faulty', open: 'text.primary' } as const;

/** Reference loaded and unloaded, return by its drop, the feed: nothing else counts until these are proven. */
export function SupplyTable({ caseFile, lanes, sensor, units, onGo, onBetween }: Props) {
  const steps = supplyCheck(caseFile, lanes);
  const { measures } = caseFile.profile;
  const effect = ({ spot, reading, outcome }: SupplyStep): string | undefined => {
    const volts = reading && 'volts' in reading ? reading.volts : undefined;
    if (outcome !== 'bad' || volts === undefined) return undefined;
    const lane: Lane | undefined =
      spot.kind === 'wire'
        ? spot.lane
        : spot.kind === 'between' && typeof spot.from !== 'string'
          ? spot.from.lane
          : undefined;
    // Only what is lost on the way has a number of ohms; too high a reference has none.
    if (lane !== 'return' && lane !== 'second-return') return undefined;
    return shiftInWords(shiftByOhms(sensor, lane, ohmsFromDrop(sensor, lane, volts)), lane, measures, units);
  };
  return (
    <>
      <Table
        size="small"
        aria-label={t('ui-isolate.supply-order-work')}
        sx={(theme) => ({
          '& td, & th': { px: { xs: 0.25, sm: 1 }, py: 0.5, verticalAlign: 'top' },
          // In a hand: what is read with its value and button, and below it what it proves.
          [theme.breakpoints.down('md')]: {
            '& thead': visuallyHidden,
            '& tbody tr': {
              display: 'grid',
              gridTemplateColumns: '1fr auto auto',
              alignItems: 'center',
              borderBottom: `1px solid ${theme.palette.divider}`,
            },
            '& tbody td': { border: 0 },
            '& tbody td:nth-of-type(3)': { order: 1, gridColumn: '1 / -1' },
          },
        })}
      >
        <TableHead>
          <TableRow>
            <TableCell sx={{ width: 200 }}>{t('ui-isolate.read-2')}</TableCell>
            <TableCell align="right">{t('ui-isolate.value')}</TableCell>
            <TableCell>{t('ui-isolate.what-it-proves')}</TableCell>
            <TableCell sx={{ width: '1px' }}>
              <span style={visuallyHidden}>{t('ui-isolate.actions')}</span>
            </TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {steps.map((step) => {
            const { spot, state, proves, reading, outcome } = step;
            const where = `${placeInWords(spot)}${state.plug === 'unplugged' ? t('ui-isolate.plug-off') : spot.kind === 'between' ? t('ui-isolate.the-drop') : t('ui-isolate.loaded')}`;
            return (
              <TableRow key={where}>
                <TableCell>{where}</TableCell>
                <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
                  {reading && 'volts' in reading ? voltsInWords(reading.volts) : '–'}
                </TableCell>
                <TableCell>
                  <Typography component="span" sx={{ color: COLOUR[outcome], fontWeight: 650 }}>
                    {MARK[outcome]}
                  </Typography>{' '}
                  <Said message={proves} /> {effect(step)}
                  {spot.kind === 'between' && (
                    <Box sx={{ mt: 1 }}>
                      <BetweenField
                        label={t('ui-isolate.drop', {
                          split: placeInWords(spot).split(',')[0]?.toLowerCase() ?? '',
                        })}
                        placeholder={t('ui-isolate.34-mv')}
                        onEnter={(text) => onBetween('between', [spot.from, spot.to], state, text)}
                      />
                    </Box>
                  )}
                </TableCell>
                <TableCell sx={{ whiteSpace: { xs: 'normal', sm: 'nowrap' } }}>
                  {spot.kind === 'wire' && (
                    <Button
                      variant={outcome === 'open' ? 'outlined' : 'text'}
                      aria-label={t('ui-isolate.read-3', { where })}
                      onClick={() => onGo(spot, state)}
                    >
                      {outcome === 'open' ? t('ui-isolate.read-it') : t('ui-isolate.read-again')}
                    </Button>
                  )}
                </TableCell>
              </TableRow>
            );
          })}
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ color: 'text.secondary' }}>
        {t('ui-isolate.back-probe-do-not-let')}
      </Typography>
    </>
  );
}
