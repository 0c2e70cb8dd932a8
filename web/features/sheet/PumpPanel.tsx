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
import {
  isPumpStepOff,
  pumpPoint,
  pumpSettings,
  pumpState,
  type CaseFile,
  type PumpPoint,
} from '@lettura/core/judge/checks';
import { useFigureForm } from './figureDigits.ts';
import { FigureFormChoice } from './FigureFormChoice.tsx';
import { countedUnit } from './unitKey.ts';
import { pumpAccuracy } from './pumpInHand.ts';
import { PumpOutcome } from './PumpOutcome.tsx';
import { PumpStepsChoice } from './PumpStepsChoice.tsx';
import { usePumpSteps } from './usePumpSteps.ts';
import type { RecordedState } from './useEntry.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { WIDE_ONLY } from '../../ui/wideOnly.ts';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';
import { PumpRow } from './PumpRow.tsx';

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
  const [form, chooseForm] = useFigureForm();
  const isWide = useScreen() === 'laptop';
  const chosen = usePumpSteps(caseFile, ambient?.pressureKpaAbs ?? 0, unit);
  if (profile.measures === 'absolute-pressure' && !ambient) {
    return <Typography>{t('ui-sheet.give-ambient-pressure-first-every')}</Typography>;
  }
  const points = pumpSettings(caseFile, chosen.steps).map((kpa) =>
    pumpPoint(caseFile, kpa, pumpAccuracy(pump)),
  );
  // In the hand the table comes first: it is chosen once.
  const counted = countedUnit(profile);
  // How many digits volts have; what is counted has any number of them.
  const figures = counted ? null : <FigureFormChoice form={form} choose={chooseForm} />;
  const mostVolts = Math.max(0, ...points.map(({ expected }) => expected?.highest ?? 0));
  return (
    <Box>
      <Box sx={{ display: 'flex', gap: 2, alignItems: 'center', flexWrap: 'wrap', mb: 1 }}>
        <Typography variant="h2" sx={{ flex: { xs: '1 1 100%', md: 1 } }}>
          {t('ui-sheet.pump-table-sensors-port', {
            which: down ? t('ui-sheet.vacuum') : t('ui-sheet.pressure'),
          })}
        </Typography>
        <PumpStepsChoice chosen={chosen} unit={unit} />
        {isWide && figures}
      </Box>
      <Typography variant="body2" sx={{ mb: 1 }}>
        {t('ui-sheet.key-engine-off-hose-off', { name: pumpAccuracy(pump).name })}
      </Typography>
      <Table
        size="small"
        aria-label={t('ui-sheet.pump-sweep')}
        sx={{ '& .MuiTableCell-root': { px: { xs: 1, md: 2 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell align="right">
              {t('ui-sheet.pump', { unit: verbatim(unit), which: down ? t('ui-sheet.vacuum') : '' })}
            </TableCell>
            <TableCell align="right">{t('ui-sheet.expect-2')}</TableCell>
            <TableCell>{t('ui-sheet.signal-read', { unit: verbatim(counted ?? 'V') })}</TableCell>
            <TableCell sx={WIDE_ONLY}>{t('ui-sheet.sensor-against-pump')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {points.map((point) => (
            <PumpRow
              key={point.kpaAboveAmbient}
              {...{ point, unit, units, caseFile, disabled, mostVolts, form, counted }}
              isAlone={isPumpStepOff(point) && standsAlone(points)}
              onEnter={(text) => onEnter(pumpedBy(pump, pumpState(point.kpaAboveAmbient)), text)}
            />
          ))}
        </TableBody>
      </Table>
      {!isWide && <Box sx={{ mt: 1 }}>{figures}</Box>}
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
