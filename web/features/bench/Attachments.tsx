import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { attachmentSaid, type Attachment, type ProbePoint } from '@lettura/core/machine/places';
import { useState } from 'react';
import { Cautions } from '../../ui/Cautions.tsx';
import { fieldNumber } from '../../ui/fieldNumber.ts';
import { upperFirst } from '../../ui/inWords.ts';
import type { PointChoice } from './benchPoints.ts';
import { PointSelect } from './PointSelect.tsx';
import { said, t } from '../../ui/words.ts';
import { lampInWords } from './lampInWords.ts';
import { type Kind, KINDS, cautionOf } from './attachmentKinds.ts';

const MOST = { jumper: 3, 'voltage-source': 1, 'test-light': 1 } as const;
const VOLTS = { lowest: 0, highest: 5, unit: 'V' };

export interface AttachmentsProps {
  points: readonly PointChoice[];
  attachments: readonly Attachment[];
  lampAmps: number | undefined;
  onChange: (attachments: Attachment[]) => void;
}

/** Jumpers, a known voltage, a test light: what is clipped on, and one more. */
export function Attachments({ points, attachments, lampAmps, onChange }: AttachmentsProps) {
  const [kind, setKind] = useState<Kind>('jumper');
  const [from, setFrom] = useState<ProbePoint>({ lane: 'signal', place: 'plug' });
  const [to, setTo] = useState<ProbePoint>({ lane: 'return', place: 'plug' });
  const [volts, setVolts] = useState('1.6');
  const known = fieldNumber(volts, VOLTS);
  const used = attachments.filter((attachment) => attachment.kind === kind).length;
  const full = used >= MOST[kind];
  const attach = () => {
    if (kind === 'voltage-source') {
      if (known.ok) onChange([...attachments, { kind, at: from, volts: known.value }]);
    } else onChange([...attachments, { kind, from, to }]);
  };
  return (
    <Box component="section" aria-label={t('ui-bench.clipped-on')}>
      {attachments.length > 0 && (
        <Box
          component="ul"
          aria-label={t('ui-bench.what-is-attached')}
          sx={{ listStyle: 'none', m: 0, p: 0 }}
        >
          {attachments.map((attachment, i) => (
            <Box component="li" key={i} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Typography sx={{ flex: 1 }}>
                {upperFirst(said(attachmentSaid(attachment)))}
                {attachment.kind === 'test-light' && lampAmps !== undefined && (
                  <strong> {lampInWords(lampAmps)}</strong>
                )}
              </Typography>
              <Button
                color="inherit"
                aria-label={t('ui-bench.take-off', {
                  attachment: upperFirst(said(attachmentSaid(attachment))),
                })}
                onClick={() => onChange(attachments.filter((_, other) => other !== i))}
              >
                {t('ui-bench.take-off-2')}
              </Button>
            </Box>
          ))}
        </Box>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, alignItems: 'flex-start', mt: 0.5 }}>
        <TextField
          select
          size="small"
          label={t('ui-bench.clip-on')}
          value={kind}
          onChange={(event) => setKind(event.target.value as Kind)}
          sx={{ minWidth: 160 }}
        >
          {Object.entries(KINDS).map(([name, words]) => (
            <MenuItem key={name} value={name}>
              {words}
            </MenuItem>
          ))}
        </TextField>
        <PointSelect
          label={kind === 'voltage-source' ? t('ui-bench.at') : t('ui-bench.from')}
          points={points}
          value={from}
          onChange={setFrom}
        />
        {kind === 'voltage-source' ? (
          <TextField
            size="small"
            label={t('ui-bench.volts')}
            value={volts}
            onChange={(event) => setVolts(event.target.value)}
            error={!known.ok}
            helperText={known.ok ? undefined : said(known.problem.next)}
            sx={{ width: 120 }}
          />
        ) : (
          <PointSelect label={t('ui-bench.to')} points={points} value={to} onChange={setTo} />
        )}
        <Button
          variant="contained"
          onClick={attach}
          disabled={full || (kind === 'voltage-source' && !known.ok)}
        >
          {full ? t('ui-bench.all-use') : t('ui-bench.attach')}
        </Button>
      </Box>
      <Cautions cautions={[cautionOf(kind)]} />
    </Box>
  );
}
