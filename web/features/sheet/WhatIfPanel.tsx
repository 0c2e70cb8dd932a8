import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import {
  codesThatTell,
  decisionsFor,
  hypothesesFor,
  titleOf,
  type WhatIf,
} from '@lettura/core/judge/weighing';
import { complaintSaid } from '@lettura/core/record/code';
import { wiringFor } from '@lettura/core/machine/wiring';
import { useMemo } from 'react';
import { Fold } from '../../ui/Fold.tsx';
import { conditionsInWords, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { StartingFields } from './StartingFields.tsx';
import { toggled } from './toggled.ts';
import type { Sheet } from './useSheet.ts';
import { said, t } from '../../ui/words.ts';

export interface WhatIfPanelProps {
  sheet: Sheet;
  whatIf: WhatIf;
  units: Units;
  onChange: (whatIf: WhatIf) => void;
}

/** Tries a change on the weighing: a reading struck out, a circumstance, a supposed fault. The record stays as it is. */
export const WhatIfPanel = (props: WhatIfPanelProps) => (
  <Box
    component="section"
    aria-label={t('ui-sheet.what-if')}
    sx={{ borderTop: 1, borderColor: 'divider', mt: 0.5 }}
  >
    <Fold summary={t('ui-sheet.what-if-2')}>
      <Tried {...props} />
    </Fold>
  </Box>
);

function Tried({ sheet, whatIf, units, onChange }: WhatIfPanelProps) {
  const { caseFile, lanes, standing } = sheet;
  const causes = useMemo(() => {
    const { family, profile, companion } = caseFile;
    const wiring = wiringFor({ profile, companion, wires: lanes });
    return decisionsFor(hypothesesFor({ family, wiring }))
      .all.map(({ id }) => ({ id, title: said(titleOf(id)) }))
      .sort((a, b) => a.title.localeCompare(b.title, 'en'));
  }, [caseFile, lanes]);
  return (
    <>
      <Typography variant="body2">{t('ui-sheet.tried-here-only-record-verdict')}</Typography>
      <TextField
        select
        fullWidth
        size="small"
        label={t('ui-sheet.suppose-were')}
        value={whatIf.suppose ?? ''}
        onChange={({ target: { value } }) =>
          onChange({ ...whatIf, suppose: value === '' ? undefined : value })
        }
        sx={{ my: 1 }}
      >
        <MenuItem value="">{t('ui-sheet.nothing-particular')}</MenuItem>
        {causes.map(({ id, title }) => (
          <MenuItem key={id} value={id}>
            {title}
          </MenuItem>
        ))}
      </TextField>
      <StartingFields sheet={sheet} whatIf={whatIf} onChange={onChange} />
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Typography component="legend" variant="h3">
          {t('ui-sheet.readings-count')}
        </Typography>
        {codesThatTell(caseFile, lanes).map(({ id, code, complaint }) => (
          <FormControlLabel
            key={id}
            sx={{ display: 'flex', m: 0 }}
            control={
              <Checkbox
                checked={!whatIf.without.includes(id)}
                onChange={() => onChange({ ...whatIf, without: toggled(whatIf.without, id) })}
              />
            }
            label={t('ui-sheet.code', { code, complaint: said(complaintSaid(complaint)) })}
          />
        ))}
        {standing
          .filter(({ kind }) => kind !== 'ambient')
          .map((reading) => (
            <FormControlLabel
              key={reading.id}
              sx={{ display: 'flex', m: 0 }}
              control={
                <Checkbox
                  checked={!whatIf.without.includes(reading.id)}
                  onChange={() => onChange({ ...whatIf, without: toggled(whatIf.without, reading.id) })}
                />
              }
              label={[
                `${placeInWords(reading)}: ${valueInWords(reading, units)}`,
                ...('state' in reading ? [conditionsInWords(reading.state, units)] : []),
              ].join(', ')}
            />
          ))}
      </Box>
    </>
  );
}
