import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import type { Problem } from '@lettura/core/measure/problem';
import { COMPLAINT_ANSWERS, followUpSaid, type FollowUp } from '@lettura/core/record/followUp';
import { MONITOR_IDS, monitorSaid } from '@lettura/core/record/onBoard';
import { useState, type ReactNode } from 'react';
import { useStored } from '../../app/useStored.ts';
import { CodesFold } from '../../ui/CodesRead.tsx';
import { said, t, upperFirst } from '../../ui/words.ts';
import {
  codesIn,
  EMPTY_FOLLOW_UP,
  followUpDraftOf,
  followUpFrom,
  ROAD_NUMBERS,
  roadNumber,
  type FollowUpDraft,
  type TypedFollowUp,
} from './followUpDraft.ts';

/** By what is looked at: the fields that are empty again once it is on record. */
const FIELDS: Record<TypedFollowUp, readonly (keyof FollowUpDraft)[]> = {
  codes: ['codes'],
  readiness: ['unfinished'],
  'road-test': ['complaint', 'loadPercent', 'revsRpm', 'gear', 'coolantCelsius'],
  recheck: ['onDate'],
};

/** Codes, readiness and the road after the work, and when to look again: each a line of the record. */
export function FollowUpForm({
  jobId,
  disabled,
  onFollowUp,
  onCleared,
}: {
  jobId: string;
  disabled: boolean;
  onFollowUp: (followUp: FollowUp) => void;
  onCleared: () => void;
}) {
  const [draft, setDraft] = useStored(followUpDraftOf(jobId), EMPTY_FOLLOW_UP);
  const [refused, setRefused] = useState<{ what: TypedFollowUp; problem: Problem }>();
  const change = (part: Partial<FollowUpDraft>) => {
    setDraft({ ...draft, ...part });
    setRefused(undefined);
  };
  const record = (what: TypedFollowUp) => {
    const followUp = followUpFrom(what, draft);
    if (!followUp.ok) {
      setRefused({ what, problem: followUp.problem });
      return;
    }
    onFollowUp(followUp.value);
    change(Object.fromEntries(FIELDS[what].map((field) => [field, EMPTY_FOLLOW_UP[field]])));
  };
  const problemOf = (what: TypedFollowUp) =>
    refused?.what === what ? `${said(refused.problem.message)} ${said(refused.problem.next)}` : undefined;
  const block = (what: TypedFollowUp, fields: ReactNode, button: string) => (
    <Box
      component="section"
      aria-label={upperFirst(said(followUpSaid(what)))}
      sx={{ display: 'grid', gap: 1 }}
    >
      {fields}
      {problemOf(what) && (
        <Typography role="alert" color="error">
          {problemOf(what)}
        </Typography>
      )}
      <Button
        variant="outlined"
        {...{ disabled }}
        onClick={() => record(what)}
        sx={{ minHeight: 48, justifySelf: 'start' }}
      >
        {button}
      </Button>
    </Box>
  );
  const codes = codesIn(draft);
  return (
    <Box
      sx={{
        display: 'grid',
        gap: 2.5,
        alignItems: 'start',
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'repeat(2, minmax(0, 1fr))' },
      }}
    >
      {block(
        'codes',
        <>
          <Box sx={{ display: 'grid', gap: 0.5 }}>
            <Button
              variant="outlined"
              {...{ disabled }}
              onClick={onCleared}
              sx={{ minHeight: 48, justifySelf: 'start' }}
            >
              {t('ui-sheet.codes-cleared-now')}
            </Button>
            <Typography variant="body2">{t('ui-sheet.clearing-loses')}</Typography>
          </Box>
          <TextField
            label={t('ui-sheet.codes-stored-now')}
            value={draft.codes}
            {...{ disabled }}
            onChange={({ target }) => change({ codes: target.value })}
            slotProps={{ htmlInput: { maxLength: 200, autoCapitalize: 'characters' } }}
          />
          {codes.ok && <CodesFold codes={codes.value} />}
        </>,
        draft.codes.trim() === '' ? t('ui-sheet.record-no-code') : t('ui-sheet.record-codes'),
      )}
      {block(
        'readiness',
        <TextField
          select
          label={t('ui-sheet.self-tests-not-finished')}
          value={draft.unfinished}
          {...{ disabled }}
          onChange={({ target }) =>
            change({ unfinished: target.value as unknown as FollowUpDraft['unfinished'] })
          }
          slotProps={{ select: { multiple: true } }}
        >
          {MONITOR_IDS.map((id) => (
            <MenuItem key={id} value={id} sx={{ minHeight: 48 }}>
              {upperFirst(said(monitorSaid(id)))}
            </MenuItem>
          ))}
        </TextField>,
        draft.unfinished.length === 0
          ? t('ui-sheet.record-all-finished')
          : t('ui-sheet.record-unfinished', { count: draft.unfinished.length }),
      )}
      {block(
        'road-test',
        <>
          <TextField
            select
            label={t('ui-sheet.complaint-on-road')}
            value={draft.complaint}
            {...{ disabled }}
            onChange={({ target }) => change({ complaint: target.value as FollowUpDraft['complaint'] })}
          >
            {COMPLAINT_ANSWERS.map((answer) => (
              <MenuItem key={answer} value={answer} sx={{ minHeight: 48 }}>
                {t(`ui-sheet.road-${answer}`)}
              </MenuItem>
            ))}
          </TextField>
          <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(2, minmax(0, 1fr))' }}>
            {ROAD_NUMBERS.map((field) => (
              <TextField
                key={field}
                label={t(`ui-sheet.road-${field}`)}
                value={draft[field]}
                {...{ disabled }}
                error={!roadNumber(draft, field).ok}
                onChange={({ target }) => change({ [field]: target.value })}
                slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 12 } }}
              />
            ))}
            <TextField
              label={t('ui-sheet.road-gear')}
              value={draft.gear}
              {...{ disabled }}
              onChange={({ target }) => change({ gear: target.value })}
              slotProps={{ htmlInput: { maxLength: 20 } }}
            />
          </Box>
        </>,
        t('ui-sheet.record-road-test'),
      )}
      {block(
        'recheck',
        <TextField
          type="date"
          label={t('ui-sheet.look-again-on')}
          value={draft.onDate}
          {...{ disabled }}
          onChange={({ target }) => change({ onDate: target.value })}
          slotProps={{ inputLabel: { shrink: true } }}
        />,
        t('ui-sheet.record-recheck'),
      )}
    </Box>
  );
}
