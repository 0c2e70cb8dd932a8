import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { allSites, FAULT_KINDS } from '@lettura/core/machine/fault';
import {
  kindName,
  MOST_PRIOR,
  NOTHING,
  usualPriors,
  type StartingWeights,
  type WeighedKind,
} from '@lettura/core/judge/priors';
import { wiringFor } from '@lettura/core/machine/wiring';
import type { Sheet } from './useSheet.ts';
import { Said } from '../../ui/Said.tsx';
import { t } from '../../ui/words.ts';

/** Only their proportions count. What is left empty has its usual weight, which stands in grey. */
export function PriorFields({
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
  const kinds = FAULT_KINDS.filter((kind) => allSites(kind, { family, wiring }).length > 0).map(
    ({ id }) => id,
  );
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
