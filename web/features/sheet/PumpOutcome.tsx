import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import { isPumpStepDoubtful, isPumpStepOff, noResponse, type PumpPoint } from '@lettura/core/judge/checks';
import type { PressureUnit } from '@lettura/core/measure/quantity';
import { isSent, type SensorProfile } from '@lettura/core/measure/transfer';
import { Suspense } from 'react';
import { t } from '../../ui/words.ts';
import { CurveChart } from '../sensors/index.ts';

const CHART_PX = 210;

export interface PumpOutcomeProps {
  points: readonly PumpPoint[];
  profile: SensorProfile;
  ambientKpaAbs: number;
  unit: PressureUnit;
}

/** What the steps read so far come to, and where they lie beside the curve; it grows as the table is filled. */
export function PumpOutcome({ points, profile, ambientKpaAbs, unit }: PumpOutcomeProps) {
  const read = points.filter(({ reading }) => reading);
  const drawn = read.flatMap((point) =>
    point.reading?.kind === 'wire' ? [{ ...point, volts: point.reading.volts }] : [],
  );
  // An average that stays says nothing of what is sent, and has no place on a curve; nor has what is counted.
  const hasCurve = !isSent(profile);
  if (read.length === 0 || (!hasCurve && read.length === drawn.length)) return null;
  const judged = read.filter(({ judged: one }) => one?.ok);
  const bad = judged.filter(isPumpStepOff).length;
  const still = noResponse(points);
  const zero = profile.measures === 'absolute-pressure' ? ambientKpaAbs : 0;
  return (
    <Box sx={{ mt: 1 }}>
      {still && (
        <Alert severity="error" icon={false} sx={{ mb: 1, fontWeight: 600 }}>
          {t('ui-sheet.no-response', {
            steps: still.steps,
            isOne: still.lowestVolts.toFixed(2) === still.highestVolts.toFixed(2),
            low: still.lowestVolts.toFixed(2),
            high: still.highestVolts.toFixed(2),
            expected: still.expectedVolts.toFixed(2),
          })}
        </Alert>
      )}
      {judged.length > 0 && (
        <Alert severity={bad > 0 ? 'warning' : 'info'} icon={false}>
          {t('ui-sheet.steps-read', {
            length: judged.length,
            length2: points.length,
            which:
              bad > 0 ? t('ui-sheet.pump-matters', { bad }) : t('ui-sheet.none-disagrees-pump-much-matters'),
          })}
        </Alert>
      )}
      {hasCurve && (
        <Suspense fallback={<Box sx={{ height: CHART_PX }} />}>
          <CurveChart
            profile={profile}
            unit={unit}
            heightPx={CHART_PX}
            points={drawn.map(({ kpaAboveAmbient, volts }) => ({ value: zero + kpaAboveAmbient, volts }))}
            doubtful={drawn.flatMap((point, i) => (isPumpStepDoubtful(point) ? [i] : []))}
          />
        </Suspense>
      )}
    </Box>
  );
}
