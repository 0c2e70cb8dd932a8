import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { formatWithBasis, type PressureUnit } from '@lettura/core/measure/quantity';
import { CHANNEL_USES, type ChannelUse, type SweepMark } from '@lettura/core/recording/sweep';
import { isSent, valueAtNominal, type SensorProfile } from '@lettura/core/measure/transfer';
import { NUMERALS } from '../../app/theme.ts';
import { fitOf } from '@lettura/core/judge/expectation';
import { FIT_SIGNS } from '../../ui/fit.ts';
import type { LiveView } from '../live/index.ts';
import { USE_WORDS } from '../sweeps/index.ts';
import { bandInWords } from './GuideSteps.tsx';
import { LiveStrip } from './LiveStrip.tsx';
import { t } from '../../ui/words.ts';

export interface LiveChannelProps {
  channel: number;
  of: { name: string; unit: string };
  view: LiveView;
  use: ChannelUse;
  /** Known by the source, or settled while it records. */
  fixedUse: boolean;
  /** Whether another channel is the reference: what it reads is not counted in here. */
  referenceMeasured: boolean;
  onUse: (use: ChannelUse) => void;
  profile: SensorProfile;
  pressureUnit: PressureUnit;
  windowSeconds: number;
  expected: { lowest: number; highest: number } | undefined;
  marks: readonly SweepMark[];
  startedMs: number | undefined;
  last: boolean;
}

/** One channel: its value large, what that is in the sensor's own unit, and its strip. */
export function LiveChannel(props: LiveChannelProps) {
  const {
    channel,
    of,
    view,
    use,
    fixedUse,
    referenceMeasured,
    onUse,
    profile,
    pressureUnit,
    expected,
    ...strip
  } = props;
  const value = view.buffer.newest(channel);
  const known = value !== undefined && !Number.isNaN(value);
  const shown = known ? value.toFixed(of.unit === 'V' ? 3 : 1) : '–';
  return (
    <Box
      sx={{
        flex: 1,
        minHeight: 118,
        display: 'grid',
        gridTemplateColumns: '168px minmax(0, 1fr)',
        borderTop: 1,
        borderColor: 'divider',
      }}
    >
      <Box sx={{ py: 0.5, pr: 1, minWidth: 0 }}>
        <Typography variant="body2" sx={{ fontWeight: 700 }}>
          {of.name}
        </Typography>
        <Box sx={{ fontFamily: NUMERALS, fontSize: '1.7rem', fontWeight: 650, lineHeight: 1.2 }}>
          {shown}{' '}
          <Box component="span" sx={{ fontSize: '1rem' }}>
            {of.unit}
          </Box>
        </Box>
        {use === 'signal' && known && !isSent(profile) && (
          // Of one height whatever the value: what is below must not move from under a finger.
          <>
            <Typography variant="body2" noWrap>
              = {formatWithBasis(valueAtNominal(value, profile), profile.measures, pressureUnit)}
            </Typography>
            {profile.transfer.form === 'ratiometric' && (
              <Typography variant="body2" noWrap>
                {t('ui-record.at-v', {
                  nominalReferenceVolts: profile.nominalReferenceVolts.toFixed(2),
                  which: referenceMeasured ? t('ui-record.not-read') : t('ui-record.assumed'),
                })}
              </Typography>
            )}
          </>
        )}
        {expected && known && (
          <Typography variant="body2">
            {FIT_SIGNS[fitOf(value, expected)]} {bandInWords(expected)}
          </Typography>
        )}
        {!fixedUse && (
          <TextField
            select
            size="small"
            fullWidth
            label={t('ui-record.is', { name: of.name })}
            value={use}
            onChange={(event) => onUse(event.target.value as ChannelUse)}
            sx={{ mt: 0.5 }}
          >
            {CHANNEL_USES.map((one) => (
              <MenuItem key={one} value={one}>
                {USE_WORDS[one]}
              </MenuItem>
            ))}
          </TextField>
        )}
      </Box>
      <LiveStrip
        {...strip}
        label={t('ui-record.last-seconds', {
          name: of.name,
          windowSeconds: strip.windowSeconds,
          unit: of.unit,
        })}
        unit={of.unit}
        buffer={view.buffer}
        channel={channel}
        aheadMs={view.aheadMs}
        expected={expected}
      />
    </Box>
  );
}
