import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import InputBase from '@mui/material/InputBase';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { Instrument } from '@lettura/contract';
import type { MachineState } from '@lettura/core/machine/places';
import { formatValue, fromKpa, type PressureUnit } from '@lettura/core/measure/quantity';
import {
  pumpPoint,
  pumpSettings,
  pumpState,
  pumpSteps,
  type CaseFile,
  type PumpPoint,
} from '@lettura/core/judge/checks';
import { useState } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { pumpAccuracy } from './pumpInHand.ts';
import type { RecordedState } from './useEntry.ts';
import { NARROW_ONLY, WIDE_ONLY } from '../../ui/wideOnly.ts';
import { Numeral } from '../../ui/Numeral.tsx';
import type { Units } from '../../ui/units.ts';
import { enInWords } from '../../ui/numbersInWords.ts';
import { said, t } from '../../ui/words.ts';
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
  const [count, setCount] = useState(6);
  const { ambient, profile } = caseFile;
  const down = profile.measures === 'absolute-pressure';
  const unit = down ? units.vacuum : units.absolute;
  if (down && !ambient) {
    return <Typography>{t('ui-sheet.give-ambient-pressure-first-every')}</Typography>;
  }
  const steps = pumpSteps(profile, ambient?.pressureKpaAbs ?? 0, unit, count);
  const points = pumpSettings(caseFile, steps).map((kpa) => pumpPoint(caseFile, kpa, pumpAccuracy(pump)));
  const judged = points.flatMap(({ judged: one }) => (one?.ok ? [one.value] : []));
  const bad = judged.filter(({ outcome, matters }) => outcome === 'disagree' && matters).length;
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h2" sx={{ flex: 1 }}>
          {t('ui-sheet.pump-table-sensors-port', {
            which: down ? t('ui-sheet.vacuum') : t('ui-sheet.pressure'),
          })}
        </Typography>
        <ToggleButtonGroup
          exclusive
          size="small"
          aria-label={t('ui-sheet.number-steps')}
          value={count}
          onChange={(_event, chosen: number | null) => chosen && setCount(chosen)}
        >
          <ToggleButton value={6}>{t('ui-sheet.6-steps')}</ToggleButton>
          <ToggleButton value={10}>{t('ui-sheet.10-steps')}</ToggleButton>
        </ToggleButtonGroup>
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
              {...{ point, unit, units, caseFile, disabled }}
              onEnter={(text) => onEnter(pumpedBy(pump, pumpState(point.kpaAboveAmbient)), text)}
            />
          ))}
        </TableBody>
      </Table>
      {judged.length > 0 && (
        <Alert severity={bad > 0 ? 'warning' : 'info'} icon={false} sx={{ mt: 1 }}>
          {t('ui-sheet.steps-read', {
            length: judged.length,
            length2: points.length,
            which:
              bad > 0 ? t('ui-sheet.pump-matters', { bad }) : t('ui-sheet.none-disagrees-pump-much-matters'),
          })}
        </Alert>
      )}
    </Box>
  );
}

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
  onEnter: (text: string) => boolean;
}

function PumpRow({ point, unit, units, caseFile, disabled, onEnter }: PumpRowProps) {
  const { kpaAboveAmbient, expected, reading, judged } = point;
  const [text, setText] = useState('');
  const setting = formatSetting(fromKpa(Math.abs(kpaAboveAmbient), unit));
  const said = judged ? inWords(judged, caseFile, units) : '';
  const save = () => {
    if (text.trim() !== '' && onEnter(text)) setText('');
  };
  return (
    <TableRow>
      <Numeral>{setting}</Numeral>
      <Numeral>
        {expected
          ? t('ui-sheet.to-v', { lowest: expected.lowest.toFixed(2), highest: expected.highest.toFixed(2) })
          : '–'}
      </Numeral>
      <TableCell>
        <Box sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          {reading && <Box sx={{ fontFamily: NUMERALS, fontWeight: 650 }}>{reading.volts.toFixed(3)}</Box>}
          <InputBase
            value={text}
            disabled={disabled}
            onChange={(event) => setText(event.target.value)}
            onKeyDown={(event) => {
              if (event.key === 'Enter') save();
            }}
            onBlur={save}
            placeholder={reading ? t('ui-sheet.again') : t('ui-sheet.volts')}
            inputProps={{
              'aria-label': t('ui-sheet.signal-at', { setting, unit: verbatim(unit) }),
              inputMode: 'decimal',
              maxLength: 20,
            }}
            sx={{
              width: 124,
              minHeight: 44,
              px: 1,
              border: 1,
              borderColor: 'sheet.rule',
              borderRadius: 1,
              bgcolor: 'sheet.inset',
              fontFamily: NUMERALS,
            }}
          />
        </Box>
        {said && <Box sx={{ ...NARROW_ONLY, mt: 0.5 }}>{said}</Box>}
      </TableCell>
      <TableCell sx={WIDE_ONLY}>{said}</TableCell>
    </TableRow>
  );
}

function inWords(judged: NonNullable<PumpPoint['judged']>, { profile }: CaseFile, units: Units): string {
  if (!judged.ok) return said(judged.problem.message);
  const { outcome, matters, difference, en, ofBound } = judged.value;
  if (ofBound && outcome === 'cannot-tell')
    return t('ui-sheet.cannot-tell-sensor', { limitedBy: said(judged.value.limitedBy) });
  const size = t('ui-sheet.off-by', {
    atLeast: ofBound === true,
    size: formatValue(Math.abs(difference), profile.measures, units.absolute),
    below: difference < 0,
    en: en === undefined ? '' : t('ui-sheet.en-2', { en: enInWords(en) }),
  });
  if (outcome === 'cannot-tell')
    return t('ui-sheet.cannot-tell-limit', { size, limitedBy: said(judged.value.limitedBy) });
  if (outcome === 'agree') return t('ui-sheet.agrees', { size });
  return matters ? t('ui-sheet.disagrees', { size }) : t('ui-sheet.off-too-little-matter', { size });
}

/** Settings are round numbers of the unit: 2.5, not 2.50. */
const formatSetting = (value: number): string => String(Math.round(value * 1000) / 1000);
