import Box from '@mui/material/Box';
import { isOffBand, type Fit } from '@lettura/core/judge/expectation';
import { type MachineState } from '@lettura/core/machine/places';
import type { Evidence } from '@lettura/core/record/evidence';
import { NUMERALS } from '../../app/theme.ts';
import { FIT_SIGNS, FIT_WORDS } from '../../ui/fit.ts';
import { valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import type { RecordedState } from './useEntry.ts';

export function SameTestValue({
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
export const recordedState = ({ stimulus, ...state }: MachineState): RecordedState =>
  stimulus?.kind === 'pump'
    ? { ...state, stimulus: { kind: 'pump', kpaAboveAmbient: stimulus.kpaAboveAmbient } }
    : { ...state, ...(stimulus ? { stimulus } : {}) };
