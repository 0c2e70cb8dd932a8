import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import Typography from '@mui/material/Typography';
import { detailsOf } from '@lettura/contract';
import {
  CIRCUMSTANCE_IDS,
  circumstanceWords,
  isUsual,
  USUAL_WEIGHTS,
  type StartingWeights,
} from '@lettura/core/judge/priors';
import type { WhatIf } from '@lettura/core/judge/weighing';
import { useChangeJobMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Fold } from '../../ui/Fold.tsx';
import { toggled } from './toggled.ts';
import type { Sheet } from './useSheet.ts';
import { SaidProblem } from '../../ui/Said.tsx';
import { titled, t } from '../../ui/words.ts';
import { PriorFields } from './PriorFields.tsx';

export interface StartingFieldsProps {
  sheet: Sheet;
  whatIf: WhatIf;
  onChange: (whatIf: WhatIf) => void;
}

/** What is known before anything is read: circumstances, and how often each kind of fault is what is wrong. */
export function StartingFields({ sheet, whatIf, onChange }: StartingFieldsProps) {
  const { caseFile, job } = sheet;
  const starting = whatIf.starting ?? caseFile.starting;
  const [change, { error, isLoading }] = useChangeJobMutation();
  const problem = error ? requestProblem(error) : undefined;
  const tryOn = (tried: StartingWeights) => onChange({ ...whatIf, starting: tried });
  const keep = async () => {
    const kept = isUsual(starting) ? undefined : starting;
    const saved = await change({
      jobId: job.id,
      change: { ...detailsOf(job), starting: kept, revision: job.revision },
    });
    if (!('error' in saved)) onChange({ ...whatIf, starting: undefined });
  };
  return (
    <>
      <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
        <Typography component="legend" variant="h3">
          {t('ui-sheet.circumstances')}
        </Typography>
        {CIRCUMSTANCE_IDS.map((id) => (
          <FormControlLabel
            key={id}
            sx={{ display: 'flex', m: 0 }}
            control={
              <Checkbox
                checked={starting.circumstances.includes(id)}
                onChange={() => tryOn({ ...starting, circumstances: toggled(starting.circumstances, id) })}
              />
            }
            label={titled(circumstanceWords(id))}
          />
        ))}
      </Box>
      <Fold summary={t('ui-sheet.how-often-each-kind-fault')}>
        <PriorFields sheet={sheet} starting={starting} onChange={tryOn} />
      </Fold>
      {problem && (
        <Alert severity="error">
          <SaidProblem problem={problem} />
        </Alert>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 0.5 }}>
        {whatIf.starting && (
          <Button variant="outlined" disabled={isLoading} onClick={() => void keep()}>
            {t('ui-sheet.keep-these-job')}
          </Button>
        )}
        {!isUsual(starting) && (
          <Button color="inherit" onClick={() => tryOn(USUAL_WEIGHTS)}>
            {t('ui-sheet.back-usual')}
          </Button>
        )}
      </Box>
    </>
  );
}
