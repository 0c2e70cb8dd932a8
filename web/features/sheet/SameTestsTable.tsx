import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { RepairProof, RepeatedReading } from '@lettura/core/judge/checks';
import { isOffBand } from '@lettura/core/judge/expectation';
import { spotOf, type Target } from '@lettura/core/machine/places';
import type { Ambient } from '@lettura/core/measure/quantity';
import { conditionsInWords, expectationInWords, placeInWords } from '../../ui/inWords.ts';
import { Said } from '../../ui/Said.tsx';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { StepField } from './StepField.tsx';
import type { RecordedState } from './useEntry.ts';
import { SameTestValue, recordedState } from './SameTestValue.tsx';

export interface SameTestsTableProps {
  proof: RepairProof;
  units: Units;
  ambient: Ambient | undefined;
  disabled: boolean;
  /** Left out on paper. */
  onRepeat?: ((target: Target, state: RecordedState, text: string) => boolean) | undefined;
}

/** Each point of before with what it read then, what a sound machine shows, and what it reads now; what was off stands first. */
export function SameTestsTable({ proof, units, ambient, disabled, onRepeat }: SameTestsTableProps) {
  const rows = proof.rows.toSorted((a, b) => Number(isOffBand(b.beforeFit)) - Number(isOffBand(a.beforeFit)));
  return (
    <Box component="ul" aria-label={t('ui-sheet.before-after')} sx={{ listStyle: 'none', p: 0, m: 0 }}>
      {rows.map((row) => (
        <Row key={row.before.id} {...{ row, units, ambient, disabled, onRepeat }} />
      ))}
    </Box>
  );
}

function Row({
  row: { before, beforeFit, after, afterFit, expectation, whyNone },
  units,
  ambient,
  disabled,
  onRepeat,
}: Omit<SameTestsTableProps, 'proof'> & { row: RepeatedReading }) {
  const where = `${placeInWords(before)}, ${conditionsInWords(before.state, units)}`;
  return (
    <Box
      component="li"
      sx={{
        display: 'grid',
        gridTemplateColumns: { xs: '1fr 1fr', md: 'minmax(0, 1.4fr) 1fr 1fr minmax(0, 1fr)' },
        gridTemplateAreas: { xs: '"where where" "before expect" "now now"', md: '"where before expect now"' },
        columnGap: 1.5,
        alignItems: 'center',
        borderBottom: 1,
        borderColor: 'divider',
        py: 0.5,
        breakInside: 'avoid',
      }}
    >
      <Box sx={{ gridArea: 'where', fontWeight: 600 }}>{where}</Box>
      <SameTestValue
        area="before"
        label={t('ui-sheet.repair-before')}
        reading={before}
        fit={beforeFit}
        units={units}
      />
      <Typography variant="body2" sx={{ gridArea: 'expect' }}>
        {expectation
          ? t('ui-sheet.expect', { expected: expectationInWords(expectation, before, units, ambient) })
          : whyNone && <Said message={whyNone} />}
      </Typography>
      <Box sx={{ gridArea: 'now', display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
        {after ? (
          <SameTestValue
            area="auto"
            label={t('ui-sheet.repair-now')}
            reading={after}
            fit={afterFit}
            units={units}
          />
        ) : (
          !onRepeat && <span>{t('ui-sheet.not-repeated')}</span>
        )}
        {onRepeat && (
          <StepField
            label={t('ui-sheet.repeat-at', { where })}
            placeholder={after ? t('ui-sheet.again') : t('ui-sheet.repair-now')}
            disabled={disabled}
            onEnter={(text) => onRepeat(spotOf(before), recordedState(before.state), text)}
          />
        )}
      </Box>
    </Box>
  );
}
