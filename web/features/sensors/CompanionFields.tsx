import Box from '@mui/material/Box';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import Switch from '@mui/material/Switch';
import TextField from '@mui/material/TextField';
import { PAIR_LIMIT_PERCENT_OF_REFERENCE } from '@lettura/core/measure/positionPair';
import { COMPANION_KINDS, COMPANION_WORDS, type CompanionText } from './companionText.ts';
import type { FieldsProps } from './fieldProps.ts';
import { t } from '../../ui/words.ts';

/** What else the body reports: a second track, or a temperature. */
export function CompanionFields({ text, change, problems }: FieldsProps) {
  const { companion } = text;
  const set = (part: Partial<CompanionText>) => change({ companion: { ...companion, ...part } });
  const field = (name: Exclude<keyof CompanionText, 'kind' | 'separateFeeds'>, label: string) => (
    <TextField
      size="small"
      label={label}
      value={companion[name]}
      onChange={(event) => set({ [name]: event.target.value })}
      error={problems.companion !== undefined}
    />
  );
  const track = companion.kind === 'mirrored' || companion.kind === 'ratio';
  return (
    <Box sx={{ display: 'grid', gap: 1.5 }}>
      <TextField
        select
        label={t('ui-sensors.same-body-also-reports')}
        value={companion.kind}
        onChange={(event) => set({ kind: event.target.value as CompanionText['kind'] })}
        error={problems.companion !== undefined}
        helperText={problems.companion && t('ui-sensors.check-these-numbers-one-them')}
      >
        {COMPANION_KINDS.map((kind) => (
          <MenuItem key={kind} value={kind}>
            {COMPANION_WORDS[kind]}
          </MenuItem>
        ))}
      </TextField>
      {companion.kind === 'ratio' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
          {field('ratio', t('ui-sensors.track-1-times-track-2-2'))}
          {field('offset', 'plus … V')}
        </Box>
      )}
      {track &&
        field(
          'limit',
          t('ui-sensors.tracks-may-part-reference-empty', {
            pairlimitpercentofreference: PAIR_LIMIT_PERCENT_OF_REFERENCE,
          }),
        )}
      {track && (
        <FormControlLabel
          control={
            <Switch
              checked={companion.separateFeeds}
              onChange={(event) => set({ separateFeeds: event.target.checked })}
            />
          }
          label={t('ui-sensors.each-track-own-reference-return-2')}
        />
      )}
      {companion.kind === 'beta' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 1.5 }}>
          {field('ohms', 'Ω at 25 °C')}
          {field('beta', t('ui-sensors.in-k'))}
          {field('pullUp', t('ui-sensors.pull-up'))}
        </Box>
      )}
      {companion.kind === 'steinhart-hart' && (
        <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.5 }}>
          {field('a', 'A')}
          {field('b', 'B')}
          {field('c', 'C')}
          {field('pullUp', t('ui-sensors.pull-up'))}
        </Box>
      )}
    </Box>
  );
}
