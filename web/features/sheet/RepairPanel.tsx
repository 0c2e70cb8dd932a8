import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { Reading } from '@lettura/contract';
import { familyOf, notesReplacing } from '@lettura/core/machine/family';
import { useEffect, useRef } from 'react';
import type { Target } from '@lettura/core/machine/places';
import { dayAndTime, upperFirst, workInWords } from '../../ui/inWords.ts';
import { Fold } from '../../ui/Fold.tsx';
import { TradeNotes } from '../../ui/TradeNotes.tsx';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { proofInWords } from './proofInWords.ts';
import { proofOf, worksOn } from './repairOn.ts';
import { SameTestsTable } from './SameTestsTable.tsx';
import type { RecordedState } from './useEntry.ts';
import type { Sheet } from './useSheet.ts';
import { WorkForm, type WorkToRecord } from './WorkForm.tsx';

export interface RepairPanelProps {
  sheet: Sheet;
  units: Units;
  disabled: boolean;
  onWork: (work: WorkToRecord) => void;
  onTakeBack: (reading: Reading) => void;
  /** Records a reading at its point in its state; false where the text could not be read, and says why elsewhere. */
  onRepeat: (target: Target, state: RecordedState, text: string) => boolean;
}

/** What was done to the machine, the same tests again, and what both prove. */
export function RepairPanel({ sheet, units, disabled, onWork, onTakeBack, onRepeat }: RepairPanelProps) {
  const works = worksOn(sheet);
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
            {proofInWords(proof)}
          </Typography>
          <SameTestsTable {...{ proof, units, disabled, onRepeat }} ambient={sheet.caseFile.ambient} />
          {works.some(({ work }) => work === 'sensor-replaced') && <TradeNotes notes={notes} />}
        </Box>
      )}
      {works.length > 0 && (
        <Box component="ul" aria-label={t('ui-sheet.work-done')} sx={{ pl: 2.5, my: 0 }}>
          {works.map((work) => (
            <li key={work.id}>
              <strong>{upperFirst(workInWords(work))}</strong> · {dayAndTime(work.takenAt)}
              {work.who && ` · ${work.who}`}{' '}
              <Button
                size="small"
                color="inherit"
                aria-label={t('ui-sheet.take-back', { value: workInWords(work) })}
                onClick={() => onTakeBack(work)}
              >
                {t('ui-sheet.take-back-2')}
              </Button>
              {work.note && <Typography variant="body2">{work.note}</Typography>}
            </li>
          ))}
        </Box>
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
