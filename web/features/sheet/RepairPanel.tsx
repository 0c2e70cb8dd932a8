import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { followedOn, followUpsOn, proofOf, worksOn, type Reading } from '@lettura/contract';
import { familyOf, notesReplacing } from '@lettura/core/machine/family';
import { useEffect, useRef } from 'react';
import { workSaid } from '@lettura/core/record/workDone';
import type { FollowUp } from '@lettura/core/record/followUp';
import type { Target } from '@lettura/core/machine/places';
import { proofInWords, upperFirst, workInWords } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { Fold } from '../../ui/Fold.tsx';
import { TradeNotes } from '../../ui/TradeNotes.tsx';
import type { Units } from '../../ui/units.ts';
import { t, titled } from '../../ui/words.ts';
import { OnRecord } from './OnRecord.tsx';
import { FollowUps } from './FollowUps.tsx';
import { SameTestsTable } from './SameTestsTable.tsx';
import type { RecordedState } from './useEntry.ts';
import type { Sheet } from './useSheet.ts';
import { WorkForm } from './WorkForm.tsx';
import { type WorkToRecord } from './workDraft.ts';

export interface RepairPanelProps {
  sheet: Sheet;
  units: Units;
  disabled: boolean;
  onWork: (work: WorkToRecord) => void;
  onFollowUp: (followUp: FollowUp) => void;
  onTakeBack: (reading: Reading) => void;
  /** Records a reading at its point in its state; false where the text could not be read, and says why elsewhere. */
  onRepeat: (target: Target, state: RecordedState, text: string) => boolean;
}

/** What was done to the machine, the same tests again, and what both prove. */
export function RepairPanel({
  sheet,
  units,
  disabled,
  onWork,
  onFollowUp,
  onTakeBack,
  onRepeat,
}: RepairPanelProps) {
  const works = worksOn(sheet.readings);
  const proof = proofOf(sheet);
  const notes = notesReplacing(familyOf(sheet.sensor.family));
  const top = useRef<HTMLDivElement>(null);
  // Once something more was done the form closes, and what there is to do next lies above it.
  const known = useRef(works.length);
  useEffect(() => {
    if (works.length > known.current) top.current?.scrollIntoView({ block: 'start' });
    known.current = works.length;
  }, [works.length]);
  const form = <WorkForm jobId={sheet.job.id} {...{ notes, disabled, onWork }} />;
  return (
    <Box
      ref={top}
      sx={{ display: 'grid', scrollMarginTop: 8, gridTemplateColumns: 'minmax(0, 1fr)', gap: 1.5 }}
    >
      {proof && (
        <Box component="section" aria-label={t('ui-sheet.same-tests-again')}>
          <Typography variant="h2">{t('ui-sheet.same-tests-again')}</Typography>
          <Typography role="status" sx={{ fontWeight: 600, my: 0.5 }}>
            {proofInWords(proof, units)}
          </Typography>
          <SameTestsTable {...{ proof, units, disabled, onRepeat }} ambient={sheet.caseFile.ambient} />
          {works.some(({ work }) => work === 'sensor-replaced') && <TradeNotes notes={notes} />}
        </Box>
      )}
      <OnRecord label={t('ui-sheet.work-done')} lines={works} nameOf={workInWords} onTakeBack={onTakeBack}>
        {(work) => (
          <>
            <strong>{upperFirst(workInWords(work))}</strong> · {dayAndTime(work.takenAt)}
            {work.who && ` · ${work.who}`}
            {work.note && <Typography variant="body2">{work.note}</Typography>}
          </>
        )}
      </OnRecord>
      {works.length > 0 && (
        <FollowUps
          jobId={sheet.job.id}
          followed={followedOn(sheet)}
          made={followUpsOn(sheet.readings)}
          isReal={!sheet.job.bench}
          {...{ disabled, onFollowUp, onTakeBack }}
          onCleared={() => onWork({ work: 'codes-cleared', text: titled(workSaid('codes-cleared')) })}
        />
      )}
      {works.length === 0 ? (
        form
      ) : (
        // What comes now is reading again.
        <Fold key={works.length} summary={t('ui-sheet.more-work')}>
          {form}
        </Fold>
      )}
    </Box>
  );
}
