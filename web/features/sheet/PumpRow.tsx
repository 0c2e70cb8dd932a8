import Box from '@mui/material/Box';
import TableCell from '@mui/material/TableCell';
import TableRow from '@mui/material/TableRow';
import { fromKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import { pumpStepSaid, type CaseFile, type PumpPoint } from '@lettura/core/judge/checks';
import { expectedPulsesSaid } from '@lettura/core/judge/expectation';
import { useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import type { FigureForm } from './figureDigits.ts';
import { StepField } from './StepField.tsx';
import { NARROW_ONLY, WIDE_ONLY } from '../../ui/wideOnly.ts';
import { valueInWords } from '../../ui/inWords.ts';
import { numberIn } from '../../ui/numberIn.ts';
import { VoltScale } from '../../ui/VoltScale.tsx';
import { Numeral } from '../../ui/Numeral.tsx';
import type { Units } from '../../ui/units.ts';
import { t, wordsIn } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

interface PumpRowProps {
  point: PumpPoint;
  unit: PressureUnit;
  units: Units;
  caseFile: CaseFile;
  disabled: boolean;
  /** Of all steps, so that their scales are one. */
  mostVolts: number;
  /** It disagrees where nearly all others agree. */
  isAlone: boolean;
  form: FigureForm;
  /** Of a sensor that sends pulses: what is read, where others have volts. */
  counted: 'Hz' | '%' | undefined;
  onEnter: (text: string) => boolean;
}

export function PumpRow({
  point,
  unit,
  units,
  caseFile,
  disabled,
  mostVolts,
  isAlone,
  form,
  counted,
  onEnter,
}: PumpRowProps) {
  const { kpaAboveAmbient, expected, counts, reading, judged } = point;
  const volts = reading?.kind === 'wire' ? reading.volts : undefined;
  const [text, setText] = useState('');
  const typed = numberIn(text);
  const setting = formatSetting(fromKpa(Math.abs(kpaAboveAmbient), unit));
  const found = judged ? wordsIn(units).say(pumpStepSaid(judged, caseFile.profile.measures)) : '';
  const words = isAlone ? `${found}. ${t('ui-sheet.take-step-again')}` : found;
  return (
    <TableRow>
      <Numeral>{setting}</Numeral>
      <Numeral>
        {expected
          ? t('ui-sheet.to-v', { lowest: expected.lowest.toFixed(2), highest: expected.highest.toFixed(2) })
          : counts
            ? wordsIn(units).say(expectedPulsesSaid(counts))
            : '–'}
        {expected && (
          <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
            <VoltScale
              slim={{ mostVolts }}
              bands={[{ from: expected.lowest, to: expected.highest, mark: '', isExpected: true }]}
              volts={volts ?? (Number.isFinite(typed) ? typed : undefined)}
            />
          </Box>
        )}
      </Numeral>
      <TableCell>
        <Box
          sx={{ display: 'flex', flexWrap: { xs: 'wrap', md: 'nowrap' }, columnGap: 1, alignItems: 'center' }}
        >
          {reading && (
            <Box sx={{ fontFamily: NUMERALS, fontWeight: 650, whiteSpace: 'nowrap' }}>
              {volts === undefined
                ? valueInWords(reading, units).replace(` ${counted}`, '')
                : volts.toFixed(3)}
            </Box>
          )}
          <StepField
            label={t('ui-sheet.signal-at', { setting, unit: verbatim(unit) })}
            placeholder={reading ? t('ui-sheet.again') : (counted ?? t('ui-sheet.volts'))}
            disabled={disabled}
            inputMode="decimal"
            form={counted ? 'as-typed' : form}
            widthPx={{ narrow: 92, else: 124 }}
            onType={setText}
            // A bare number is what the column says; with a unit it is what its unit says.
            onEnter={(entered) => onEnter(counted && isBare(entered) ? `${entered} ${counted}` : entered)}
          />
        </Box>
        {words && <Box sx={{ ...NARROW_ONLY, mt: 0.5 }}>{words}</Box>}
      </TableCell>
      <TableCell sx={WIDE_ONLY}>{words}</TableCell>
    </TableRow>
  );
}

const isBare = (text: string): boolean => /^[\d.,\s]+$/u.test(text);

/** Settings are round numbers of the unit: 2.5, not 2.50. */
const formatSetting = (value: number): string => String(Math.round(value * 1000) / 1000);
