import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { formatValue, shownUnit, toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import { curveOf, type CurveFit, type CurvePoint, type SensorProfile } from '@lettura/core/measure/transfer';
import { lazy, Suspense } from 'react';
import { Loading } from '../../ui/Centred.tsx';
import type { SensorText } from './sensorText.ts';

const CurveChart = lazy(() => import('./CurveChart.tsx'));
const ResidualChart = lazy(() => import('./ResidualChart.tsx'));

const NOUNS: Record<SensorText['form'], string> = {
  line: 'line',
  table: 'curve',
  polynomial: 'polynomial',
  'hot-element': 'law',
};

/** Points that lie on the curve to a tenth of a millivolt have no residuals worth a drawing. */
const LEAST_SHOWN_VOLTS = 1e-4;

export interface FitViewProps {
  profile: SensorProfile;
  fit: CurveFit | undefined;
  points: readonly CurvePoint[];
  unit: PressureUnit;
  form: SensorText['form'];
}

/** The curve with its points and tolerance, what the points miss it by, and how well it is known. */
export function FitView({ profile, fit, points, unit, form }: FitViewProps) {
  const { measures } = profile;
  const noun = NOUNS[form];
  const middle = points.reduce((sum, { value }) => sum + value, 0) / points.length;
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const doubtful = fit?.doubtful === undefined ? undefined : points[fit.doubtful];
  const bare = (value: number): string => toShown(value, measures, unit).toFixed(1);
  return (
    <Box>
      <Suspense fallback={<Loading what="the curve" />}>
        <CurveChart profile={profile} unit={unit} points={points} doubtful={fit?.doubtful} />
        {fit && form !== 'table' && fit.scatterVolts > LEAST_SHOWN_VOLTS && (
          <>
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              Points less the {noun}, mV
            </Typography>
            <ResidualChart profile={profile} fit={fit} points={points} unit={unit} />
          </>
        )}
      </Suspense>
      {fit && form !== 'table' && points.length > 2 && (
        <Typography variant="body2">
          {lawInWords(profile)} The points scatter about the {noun} by {(fit.scatterVolts * 1000).toFixed(0)}{' '}
          mV (
          {formatValue(
            Math.abs(fit.scatterVolts * curve.valuePerVoltAt(curve.voltsAt(middle))),
            measures,
            unit,
          )}
          ); in the middle the {noun} itself is known to ±
          {(2 * fit.standardUncertaintyVoltsAt(middle) * 1000).toFixed(0)} mV (k = 2).
        </Typography>
      )}
      {fit?.turns && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          The volts stand still or turn round between these points: one voltage there means several values,
          and a reading is then shown as a stretch. Look for a slip if that is not meant.
        </Alert>
      )}
      {fit?.doubtful !== undefined && doubtful && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          The point {bare(doubtful.value)} {shownUnit(measures, unit)}, {doubtful.volts.toFixed(3)} V does not
          fit the others: it is {((fit.residualVolts[fit.doubtful] ?? 0) * 1000).toFixed(0)} mV off the {noun}
          . Check it; it is still used.
        </Alert>
      )}
    </Box>
  );
}

/** The formula, where it is short enough to be worth reading. */
export function lawInWords({ transfer }: SensorProfile): string {
  switch (transfer.form) {
    case 'hot-element':
      return `V² = ${transfer.a.toFixed(3)} + ${transfer.b.toFixed(3)} · flow^${transfer.n.toFixed(3)}.`;
    case 'polynomial':
      return `A polynomial of degree ${transfer.coefficients.length - 1} in volts.`;
    case 'linear':
    case 'ratiometric':
    case 'table':
      return '';
  }
}
