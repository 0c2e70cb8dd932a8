import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { NOT_PROVEN, type JobVerdict } from '@lettura/contract';
import { useRef } from 'react';
import { GuessPanel } from './GuessPanel.tsx';
import { v7 } from 'uuid';
import { z } from 'zod';
import { useRecordVerdictMutation } from '../../app/api.ts';
import { ownDraft } from '../../app/stored.ts';
import { useStored } from '../../app/useStored.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { causeInWords } from '../../ui/causeInWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { useWeighed } from '../weighing/index.ts';
import { SaidProblem, Said } from '../../ui/Said.tsx';
import { familyOf, notesReplacing, type FamilyId } from '@lettura/core/machine/family';
import { TradeNotes } from '../../ui/TradeNotes.tsx';
import { type Message } from '@lettura/core/measure/message';
import { t } from '../../ui/words.ts';

export interface VerdictPanelProps {
  jobId: string;
  family: FamilyId;
  /** Something else is tried on: nothing can be recorded on that. */
  triedOn: boolean;
  verdicts: JobVerdict[];
  /** What the simulated machine really had, told once a verdict stands. */
  revealed?: Message | undefined;
}

/** A note that is being written outlives a change of tab and a reload. */
const verdictNotes = (jobId: string) => ownDraft(`lettura.verdict-note.${jobId}`, z.string(), '');

/** Records what the readings prove, or that they prove nothing yet; never more than they prove. */
export function VerdictPanel({ jobId, family, triedOn, verdicts, revealed }: VerdictPanelProps) {
  const weighed = useWeighed();
  const weighing = triedOn ? undefined : weighed.weighing;
  const [note, setNote] = useStored(verdictNotes(jobId), '');
  const [record, { error, isLoading }] = useRecordVerdictMutation();
  const verdict = weighing?.verdict;
  const leader = weighing?.causes[0];
  // Nobody buys a wire by guessing.
  const guessed =
    leader && !verdict?.decided && ['sensor', 'control-unit', 'wrong-part'].includes(leader.class)
      ? leader
      : undefined;
  const problem = error ? requestProblem(error) : undefined;
  const asked = useRef<JobVerdict>(undefined);
  const save = async (cause: JobVerdict['cause']) => {
    // Sent again because no answer came, it is the same verdict: the server may have it already.
    const isAgain = asked.current?.cause === cause && asked.current.note === note;
    const given =
      isAgain && asked.current
        ? asked.current
        : { id: v7(), jobId, decidedAt: new Date().toISOString(), cause, note };
    asked.current = given;
    const result = await record(given);
    if (!('data' in result)) return;
    asked.current = undefined;
    setNote('');
  };
  return (
    <Box>
      <Typography variant="h2">
        {verdict?.decided ? t('ui-sheet.proven-readings') : t('ui-sheet.not-proven-yet-2')}
      </Typography>
      <Typography sx={{ mb: 1.5 }}>
        {verdict ? <Said message={verdict.sentence} /> : t('ui-sheet.readings-being-weighed-something-tried')}
      </Typography>
      {verdict?.decided && leader?.class === 'sensor' && (
        <TradeNotes notes={notesReplacing(familyOf(family))} />
      )}
      <TextField
        label={t('ui-sheet.note-customer-next-technician')}
        value={note}
        onChange={(event) => setNote(event.target.value)}
        multiline
        minRows={2}
        fullWidth
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      {problem && (
        <Alert severity="error" sx={{ mt: 1 }}>
          <SaidProblem problem={problem} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 1, mt: 1.5, flexWrap: 'wrap' }}>
        {verdict?.decided && (
          <Button variant="contained" disabled={isLoading} onClick={() => void save(verdict.cause)}>
            {isLoading
              ? t('ui-sheet.verdict-being-weighed')
              : t('ui-sheet.record-verdict', { cause: causeInWords(verdict.cause) })}
          </Button>
        )}
        <Button
          variant={verdict?.decided ? 'outlined' : 'contained'}
          disabled={isLoading}
          onClick={() => void save(NOT_PROVEN)}
        >
          {t('ui-sheet.record-not-proven-yet')}
        </Button>
      </Box>
      {guessed && <GuessPanel cause={guessed} next={weighing?.next[0]} />}
      {verdicts.length > 0 && (
        <Box component="ul" aria-label={t('ui-sheet.recorded-verdicts')} sx={{ pl: 2.5, mt: 2 }}>
          {verdicts.toReversed().map((one) => (
            <li key={one.id}>
              <strong>{causeInWords(one.cause)}</strong> · {dayAndTime(one.decidedAt)}
              {one.note && <Typography variant="body2">{one.note}</Typography>}
            </li>
          ))}
        </Box>
      )}
      {revealed && verdicts.length > 0 && (
        <Alert severity="info" icon={false}>
          {t('ui-sheet.simulated-machine')} <Said message={revealed} />
        </Alert>
      )}
    </Box>
  );
}
