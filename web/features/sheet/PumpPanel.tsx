import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import type { Instrument } from '@lettura/contract';
import { isPumpedDown } from '@lettura/core/machine/family';
import type { MachineState } from '@lettura/core/machine/places';
import { fromKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import {
  isPumpStepOff,
  pumpPoint,
  pumpSettings,
  pumpState,
  pumpStepSaid,
  type CaseFile,
  type PumpPoint,
} from '@lettura/core/judge/checks';
import { useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { pumpAccuracy } from './pumpInHand.ts';
import { PumpOutcome } from './PumpOutcome.tsx';
import { PumpStepsChoice } from './PumpStepsChoice.tsx';
import { StepField } from './StepField.tsx';
import { usePumpSteps } from './usePumpSteps.ts';
import type { RecordedState } from './useEntry.ts';
import { NARROW_ONLY, WIDE_ONLY } from '../../ui/wideOnly.ts';
import { numberIn } from '../../ui/numberIn.ts';
import { VoltScale } from '../../ui/VoltScale.tsx';
import { Numeral } from '../../ui/Numeral.tsx';
import type { Units } from '../../ui/units.ts';
import { t, wordsIn } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';

export interface PumpPanelProps {
  caseFile: CaseFile;
  pump: Instrument | undefined;
  units: Units;
  disabled: boolean;
  /** Records the signal at the plug in a state; false where the text could not be read, and says why elsewhere. */
  onEnter: (state: RecordedState, text: string) => boolean;
}

/** A pump sweep, step by step: what each setting should read, what it read, and whether sensor and pump agree. */
export function PumpPanel({ caseFile, pump, units, disabled, onEnter }: PumpPanelProps) {
  const { ambient, family, profile } = caseFile;
  const down = isPumpedDown(family, profile.measures);
  const unit = down ? units.vacuum : units.absolute;
  const chosen = usePumpSteps(caseFile, ambient?.pressureKpaAbs ?? 0, unit);
  if (profile.measures === 'absolute-pressure' && !ambient) {
    return <Typography>{t('ui-sheet.give-ambient-pressure-first-every')}</Typography>;
  }
  const points = pumpSettings(caseFile, chosen.steps).map((kpa) =>
    pumpPoint(caseFile, kpa, pumpAccuracy(pump)),
  );
  const mostVolts = Math.max(0, ...points.map(({ expected }) => expected?.highest ?? 0));
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h2" sx={{ flex: { xs: '1 1 100%', sm: 1 } }}>
          {t('ui-sheet.pump-table-sensors-port', {
            which: down ? t('ui-sheet.vacuum') : t('ui-sheet.pressure'),
          })}
        </Typography>
        <PumpStepsChoice chosen={chosen} unit={unit} />
      </Box>
      <Typography variant="body2" sx={{ mb: 1 }}>
        {t('ui-sheet.key-engine-off-hose-off', { name: pumpAccuracy(pump).name })}
      </Typography>
      <Table size="small" aria-label={t('ui-sheet.pump-sweep')}>
        <TableHead>
          <TableRow>
            <TableCell align="right">
              {t('ui-sheet.pump', { unit: verbatim(unit), which: down ? t('ui-sheet.vacuum') : '' })}
            </TableCell>
            <TableCell align="right">{t('ui-sheet.expect-2')}</TableCell>
            <TableCell>{t('ui-sheet.signal-read-v')}</TableCell>
            <TableCell sx={WIDE_ONLY}>{t('ui-sheet.sensor-against-pump')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {points.map((point) => (
            <PumpRow
              key={point.kpaAboveAmbient}
              {...{ point, unit, units, caseFile, disabled, mostVolts }}
              isAlone={isPumpStepOff(point) && standsAlone(points)}
              onEnter={(text) => onEnter(pumpedBy(pump, pumpState(point.kpaAboveAmbient)), text)}
            />
          ))}
        </TableBody>
      </Table>
      <PumpOutcome
        points={points}
        profile={profile}
        ambientKpaAbs={ambient?.pressureKpaAbs ?? 0}
        unit={units.absolute}
      />
    </Box>
  );
}

/** So few of the steps off are a slip of the hand or the gauge before they are the sensor. */
const ALONE_SHARE = 0.25;
const standsAlone = (points: readonly PumpPoint[]): boolean =>
  points.filter(isPumpStepOff).length <= ALONE_SHARE * points.filter(({ judged }) => judged?.ok).length;

/** The step as it goes on record: with what showed the pressure. */
function pumpedBy(pump: Instrument | undefined, state: MachineState): RecordedState {
  const { stimulus } = state;
  return stimulus?.kind === 'pump' && pump
    ? {
        ...state,
        stimulus: { kind: 'pump', kpaAboveAmbient: stimulus.kpaAboveAmbient, instrumentId: pump.id },
      }
    : { engine: state.engine, plug: state.plug, ...(stimulus ? { stimulus } : {}) };
}

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
  onEnter: (text: string) => boolean;
}

function PumpRow({ point, unit, units, caseFile, disabled, mostVolts, isAlone, onEnter }: PumpRowProps) {
  const { kpaAboveAmbient, expected, reading, judged } = point;
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
          : '–'}
        {expected && (
          <Box sx={{ display: 'flex', justifyContent: 'flex-end' }}>
            <VoltScale
              slim={{ mostVolts }}
              bands={[{ from: expected.lowest, to: expected.highest, mark: '', isExpected: true }]}
              volts={reading?.volts ?? (Number.isFinite(typed) ? typed : undefined)}
            />
          </Box>
        )}
      </Numeral>
      <TableCell>
        <Box
          sx={{ display: 'flex', flexWrap: { xs: 'wrap', sm: 'nowrap' }, columnGap: 1, alignItems: 'center' }}
        >
          {reading && <Box sx={{ fontFamily: NUMERALS, fontWeight: 650 }}>{reading.volts.toFixed(3)}</Box>}
          <StepField
            label={t('ui-sheet.signal-at', { setting, unit: verbatim(unit) })}
            placeholder={reading ? t('ui-sheet.again') : t('ui-sheet.volts')}
            disabled={disabled}
            inputMode="decimal"
            widthPx={{ phone: 92, else: 124 }}
            onType={setText}
            onEnter={onEnter}
          />
        </Box>
        {words && <Box sx={{ ...NARROW_ONLY, mt: 0.5 }}>{words}</Box>}
      </TableCell>
      <TableCell sx={WIDE_ONLY}>{words}</TableCell>
    </TableRow>
  );
}

/** Settings are round numbers of the unit: 2.5, not 2.50. */
const formatSetting = (value: number): string => String(Math.round(value * 1000) / 1000);
