import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { costOfGuessing, type NextReading, type WeighedCause } from '@lettura/core/judge/weighing';
import { useState } from 'react';
import { t } from '../../ui/words.ts';

const FITTING_MINUTES = 30;
const FIELDS = {
  partCost: t('ui-sheet.part-costs'),
  hourCost: t('ui-sheet.hour-costs'),
  fittingMinutes: t('ui-sheet.fitting-minutes'),
} as const;
type Field = keyof typeof FIELDS;

/** A number as it is typed, with a comma or a point; undefined where it is none, or less than nothing. */
function amount(text: string): number | undefined {
  const value = Number(text.replace(',', '.'));
  return text.trim() !== '' && Number.isFinite(value) && value >= 0 ? value : undefined;
}

/** What guessing would cost: the part fitted now, against one more reading. */
export function GuessPanel({ cause, next }: { cause: WeighedCause; next: NextReading | undefined }) {
  const [typed, setTyped] = useState<Record<Field, string>>({
    partCost: '',
    hourCost: '',
    fittingMinutes: String(FITTING_MINUTES),
  });
  const partCost = amount(typed.partCost);
  const hourCost = amount(typed.hourCost);
  const fittingMinutes = amount(typed.fittingMinutes);
  const known = partCost !== undefined && hourCost !== undefined && fittingMinutes !== undefined;
  const cost =
    known &&
    costOfGuessing({
      share: cause.share,
      partCost,
      hourCost,
      fittingMinutes,
      readingMinutes: next?.minutes ?? 0,
    });
  return (
    <Box component="section" aria-label={t('ui-sheet.cost-guessing')} sx={{ mt: 2 }}>
      <Typography variant="h3">{t('ui-sheet.would-guessing-cost')}</Typography>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, my: 1 }}>
        {(Object.keys(FIELDS) as Field[]).map((field) => (
          <TextField
            key={field}
            size="small"
            label={FIELDS[field]}
            value={typed[field]}
            error={typed[field] !== '' && amount(typed[field]) === undefined}
            helperText={
              typed[field] !== '' && amount(typed[field]) === undefined
                ? t('ui-sheet.give-number-such-85')
                : ' '
            }
            onChange={(event) => setTyped({ ...typed, [field]: event.target.value })}
            slotProps={{ htmlInput: { inputMode: 'decimal', maxLength: 10 } }}
            sx={{ width: 170 }}
          />
        ))}
      </Box>
      <Typography role="status">
        {cost
          ? t('ui-sheet.fitting-now', {
              title: cause.title,
              times: Math.round(100 * (1 - cause.share)),
              lostByGuessing: cost.lostByGuessing.toFixed(0),
              which: next
                ? t('ui-sheet.next-reading-costs', {
                    readingCost: cost.readingCost.toFixed(0),
                    which: cost.readFirst ? t('ui-sheet.read-first') : '.',
                  })
                : t('ui-sheet.no-reading-left-would-tell'),
            })
          : t('ui-sheet.give-both-prices-they-stay')}
      </Typography>
    </Box>
  );
}
