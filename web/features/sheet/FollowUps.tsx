import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Reading } from '@lettura/contract';
import type { FollowedUp } from '@lettura/core/judge/checks';
import type { FollowUp } from '@lettura/core/record/followUp';
import { followUpInWords, placeInWords } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { VehiclePanel } from '../onBoard/index.ts';
import { OnRecord } from './OnRecord.tsx';
import { FollowUpForm } from './FollowUpForm.tsx';

export interface FollowUpsProps {
  jobId: string;
  followed: FollowedUp;
  /** On record and not taken back, oldest first. */
  made: readonly Extract<Reading, { kind: 'follow-up' }>[];
  disabled: boolean;
  /** Rather than the simulated machine of a practice job. */
  isReal: boolean;
  onFollowUp: (followUp: FollowUp) => void;
  onCleared: () => void;
  onTakeBack: (reading: Reading) => void;
}

/** What codes, readiness and the road say of the repair, and what was looked at. */
export function FollowUps({ followed, made, isReal, onTakeBack, ...form }: FollowUpsProps) {
  return (
    <Box component="section" aria-label={t('ui-sheet.codes-readiness-road')}>
      <Typography variant="h2">{t('ui-sheet.codes-readiness-road')}</Typography>
      <FollowUpRemarks followed={followed} />
      <OnRecord
        label={t('ui-sheet.looked-at-since')}
        lines={made}
        nameOf={placeInWords}
        onTakeBack={onTakeBack}
      >
        {(one) => (
          <>
            <strong>{placeInWords(one)}</strong>: {followUpInWords(one)} · {dayAndTime(one.takenAt)}
          </>
        )}
      </OnRecord>
      {isReal && (
        <VehiclePanel
          disabled={form.disabled}
          takes={t('ui-on-board.put-on-record')}
          onTake={(units) => form.onFollowUp({ what: 'vehicle', units })}
          onCleared={form.onCleared}
        />
      )}
      <FollowUpForm {...form} />
    </Box>
  );
}

export const FollowUpRemarks = ({ followed: { remarks, against } }: { followed: FollowedUp }) => (
  <Box component="ul" aria-label={t('ui-sheet.what-follow-up-says')} sx={{ pl: 2.5, my: 0.5 }}>
    {remarks.map((remark) => (
      <Typography
        component="li"
        key={JSON.stringify(remark)}
        sx={{ fontWeight: against.includes(remark) ? 700 : 400 }}
      >
        {against.includes(remark) && '✕ '}
        <Said message={remark} />
      </Typography>
    ))}
  </Box>
);
