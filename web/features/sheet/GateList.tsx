import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { JobWeighing } from '@lettura/core/judge/weighing';
import { Said } from '../../ui/Said.tsx';
import { type Message } from '@lettura/core/measure/message';
import { t } from '../../ui/words.ts';

const GATE_MARK = { proven: '✓', missing: '○', refuted: '✕' } as const;
const GATE_WORD = {
  proven: t('ui-sheet.shown'),
  missing: t('ui-sheet.still-show'),
  refuted: t('ui-sheet.does-not-hold'),
} as const;
const GATE_COLOUR = {
  proven: 'standing.proven',
  missing: 'text.primary',
  refuted: 'standing.faulty',
} as const;

export function GateList({ gate, title }: { gate: JobWeighing['gate']; title: Message }) {
  if (gate.length === 0) return null;
  return (
    <Box sx={{ borderTop: 1, borderColor: 'divider', pt: 0.5, mt: 0.5 }}>
      <Typography variant="h3" component="h3">
        {t('ui-sheet.before')}
        <Said title message={title} />
        {t('ui-sheet.may-named')}
      </Typography>
      <Box component="ul" aria-label={t('ui-sheet.proof')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
        {gate.map(({ label, state }) => (
          <Typography
            key={JSON.stringify(label)}
            component="li"
            variant="body2"
            sx={{ color: GATE_COLOUR[state] }}
          >
            {GATE_MARK[state]} <Said title message={label} />: {GATE_WORD[state]}
          </Typography>
        ))}
      </Box>
    </Box>
  );
}
