import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { RepairProof, RepeatedReading } from '@lettura/core/judge/checks';
import { isOffBand, type Fit } from '@lettura/core/judge/expectation';
import { spotOf, type MachineState, type Target } from '@lettura/core/machine/places';
import type { Ambient } from '@lettura/core/measure/quantity';
import type { Evidence } from '@lettura/core/record/evidence';
import { NUMERALS } from '../../app/theme.ts';
import { FIT_SIGNS, FIT_WORDS } from '../../ui/fit.ts';
import { conditionsInWords, expectationInWords, placeInWords, valueInWords } from '../../ui/inWords.ts';
import { Said } from '../../ui/Said.tsx';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { StepField } from './StepField.tsx';
import type { RecordedState } from './useEntry.ts';

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
      <Value
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
          <Value area="auto" label={t('ui-sheet.repair-now')} reading={after} fit={afterFit} units={units} />
        ) : (
          !onRepeat && <span>{t('ui-sheet.not-repeated')}</span>
        )}
        {onRepeat && (
          <StepField
            label={t('ui-sheet.repeat-at', { where })}
            placeholder={after ? t('ui-sheet.again') : t('ui-sheet.repair-now')}
            disabled={disabled}
            onEnter={(text) => onRepeat(spotOf(before) as Target, recordedState(before.state), text)}
          />
        )}
      </Box>
    </Box>
  );
}

function Value({
  area,
  label,
  reading,
  fit,
  units,
}: {
  area: string;
  label: string;
  reading: Evidence;
  fit: Fit | undefined;
  units: Units;
}) {
  return (
    <Box sx={{ gridArea: area }}>
      <Box component="span" sx={{ fontSize: '0.85rem', mr: 0.75 }}>
        {label}
      </Box>
      <Box component="span" sx={{ fontFamily: NUMERALS, fontWeight: 650 }}>
        {valueInWords(reading, units)}
      </Box>{' '}
      {fit && (
        <Box
          component="span"
          role="img"
          aria-label={FIT_WORDS[fit]}
          sx={{ fontWeight: 700, color: isOffBand(fit) ? 'standing.faulty' : 'standing.proven' }}
        >
          {FIT_SIGNS[fit]}
        </Box>
      )}
    </Box>
  );
}

/** A gauge on the pump is none of the state that is recorded again: whoever repeats it has another in hand. */
const recordedState = ({ stimulus, ...state }: MachineState): RecordedState =>
  stimulus?.kind === 'pump'
    ? { ...state, stimulus: { kind: 'pump', kpaAboveAmbient: stimulus.kpaAboveAmbient } }
    : { ...state, ...(stimulus ? { stimulus } : {}) };
