import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { refusalOf, workshopChange, type Workshop, type WorkshopChange } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { fail, type Problem } from '@lettura/core/measure/problem';
import { useState } from 'react';
import { z } from 'zod';
import { useChangeWorkshopMutation, useWorkshopQuery } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { ownDraft } from '../../app/stored.ts';
import { FileButton } from '../../ui/FileButton.tsx';
import { SaidProblem } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';
import { shownOf, asDataUrl, UNREADABLE } from './asDataUrl.ts';

/** With the revision that it was typed over: what somebody else has saved since is told before it is overwritten. */
const draftSchema = z.object({ name: z.string(), address: z.string(), revision: z.number() });
/** What is typed and not saved yet outlives a reload; `undefined` while nothing is. */
const kept = ownDraft('lettura.workshop-draft', draftSchema.optional(), undefined);

/** Name, address and picture of the workshop, as they stand above every report. */
export function WorkshopForm() {
  const { data } = useWorkshopQuery();
  return data ? <Fields workshop={data} /> : null;
}

function Fields({ workshop }: { workshop: Workshop }) {
  const [change, { isLoading, isSuccess }] = useChangeWorkshopMutation();
  const [draft, setDraft] = useState(() => kept.load() ?? shownOf(workshop));
  const [picture, setPicture] = useState(workshop.picture);
  const [problem, setProblem] = useState<Problem>();
  const type = (part: Partial<typeof draft>) => {
    const next = { ...draft, ...part };
    setDraft(next);
    kept.save(next);
  };
  const save = async () => {
    // Told of the other one, whoever saves again means it.
    const revision = problem?.code === 'workshop-changed' ? workshop.revision : draft.revision;
    const given: WorkshopChange = { ...draft, ...(picture && { picture }), revision };
    const checked = workshopChange.safeParse(given);
    if (!checked.success) {
      const message = refusalOf(checked.error.issues[0]?.message ?? '');
      setProblem(fail('not-so', message, say('app.change-it-save-again')).problem);
      return;
    }
    const answer = await change(checked.data);
    if (answer.error) setProblem(requestProblem(answer.error));
    else {
      kept.clear();
      setDraft(shownOf(answer.data));
      setProblem(undefined);
    }
  };
  return (
    <Box
      component="form"
      aria-label={t('ui-report.head-of-reports')}
      noValidate
      onSubmit={(event) => {
        event.preventDefault();
        void save();
      }}
      sx={{ display: 'grid', gap: 1.5, maxWidth: 560, mb: 2 }}
    >
      <TextField
        label={t('ui-report.name-of-workshop')}
        value={draft.name}
        onChange={({ target }) => type({ name: target.value })}
      />
      <TextField
        label={t('ui-report.address-of-workshop')}
        multiline
        minRows={2}
        value={draft.address}
        onChange={({ target }) => type({ address: target.value })}
      />
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {picture !== undefined && (
          <Box
            component="img"
            src={picture}
            alt={t('ui-report.picture-chosen')}
            sx={{ maxWidth: 120, maxHeight: 60 }}
          />
        )}
        <FileButton
          accept="image/png,image/jpeg"
          onFile={(file) => void asDataUrl(file).then(setPicture, () => setProblem(UNREADABLE))}
        >
          {t('ui-report.choose-picture')}
        </FileButton>
        {picture !== undefined && (
          <Button color="inherit" onClick={() => setPicture(undefined)}>
            {t('ui-report.no-picture')}
          </Button>
        )}
      </Box>
      {problem && (
        <Alert severity="error">
          <SaidProblem problem={problem} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center' }}>
        <Button type="submit" variant="contained" disabled={isLoading} sx={{ minHeight: 48 }}>
          {t('ui-report.save-head')}
        </Button>
        {isSuccess && !problem && <Typography role="status">{t('ui-report.head-saved')}</Typography>}
      </Box>
    </Box>
  );
}
