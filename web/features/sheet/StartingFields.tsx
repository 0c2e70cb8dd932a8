import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { detailsOf } from '@lettura/contract';
import { FAULT_KINDS } from '@lettura/core/machine/fault';
import {
  CIRCUMSTANCE_IDS,
  circumstanceWords,
  isUsual,
  kindName,
  MOST_PRIOR,
  NOTHING,
  USUAL_WEIGHTS,
  usualPriors,
  type StartingWeights,
  type WeighedKind,
} from '@lettura/core/judge/priors';
import type { WhatIf } from '@lettura/core/judge/weighing';
import { wiringFor } from '@lettura/core/machine/wiring';
import { useChangeJobMutation } from '../../app/api.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Fold } from '../../ui/Fold.tsx';
import { toggled } from './toggled.ts';
import type { Sheet } from './useSheet.ts';
import { Said, SaidProblem } from '../../ui/Said.tsx';
import { titled, t } from '../../ui/words.ts';

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
        <Priors sheet={sheet} starting={starting} onChange={tryOn} />
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

/** Only their proportions count. What is left empty has its usual weight, which stands in grey. */
function Priors({
  sheet: { caseFile, lanes },
  starting,
  onChange,
}: {
  sheet: Sheet;
  starting: StartingWeights;
  onChange: (starting: StartingWeights) => void;
}) {
  const { family, profile, companion } = caseFile;
  const wiring = wiringFor({ profile, companion, wires: lanes });
  const usual = usualPriors(family);
  const kinds = FAULT_KINDS.filter((kind) => kind.sites({ family, wiring }).length > 0).map(({ id }) => id);
  const set = (id: WeighedKind, typed: string) => {
    const { [id]: _before, ...others } = starting.priors;
    const weight = Number(typed);
    const isWeight = typed.trim() !== '' && weight >= 0 && weight <= MOST_PRIOR;
    onChange({ ...starting, priors: isWeight ? { ...others, [id]: weight } : others });
  };
  return (
    <>
      <Typography variant="body2">
        {t('ui-sheet.weights-0-our-own-starting', { mostprior: MOST_PRIOR })}
      </Typography>
      <Box
        sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr) 92px', alignItems: 'center', gap: 0.5 }}
      >
        {([NOTHING, ...kinds] as const).map((id) => (
          <Box key={id} component="label" sx={{ display: 'contents' }}>
            <Typography component="span" variant="body2">
              <Said title message={kindName(id)} />
            </Typography>
            <TextField
              size="small"
              type="number"
              value={starting.priors[id] ?? ''}
              placeholder={String(usual[id])}
              onChange={({ target }) => set(id, target.value)}
              slotProps={{ htmlInput: { min: 0, max: MOST_PRIOR, step: 0.5, inputMode: 'decimal' } }}
            />
          </Box>
        ))}
      </Box>
    </>
  );
}
