import { toolSaid, toolsFor, type NextReading } from '@lettura/core/judge/weighing';
import { list } from '@lettura/core/measure/message';
import Typography from '@mui/material/Typography';
import { t } from '../../ui/words.ts';

/** For whoever walks to the machine: what all of these need, and how long they take together. */
export function TakeAlong({ next }: { next: readonly NextReading[] }) {
  const tools = toolsFor(next);
  if (tools.length === 0) return null;
  return (
    <Typography variant="body2" sx={{ py: 0.5 }}>
      {t('ui-sheet.take-along', {
        count: next.length,
        minutes: next.reduce((sum, { minutes }) => sum + minutes, 0),
        tools: list(tools.map(toolSaid)),
      })}
    </Typography>
  );
}
