import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { formatValue, shownUnit, toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import {
  curveOf,
  isSent,
  type CurveFit,
  type CurvePoint,
  type SensorProfile,
} from '@lettura/core/measure/transfer';
import { lazy, Suspense } from 'react';
import { Loading } from '../../ui/Centred.tsx';
import type { SensorText } from './sensorText.ts';
import { t } from '../../ui/words.ts';
import { CurveChart } from './lazyCurveChart.ts';

const ResidualChart = lazy(() => import('./ResidualChart.tsx'));

const NOUNS: Record<SensorText['form'], string> = {
  line: t('ui-sensors.line'),
  table: t('ui-sensors.curve'),
  polynomial: t('ui-sensors.polynomial'),
  'hot-element': t('ui-sensors.law'),
  telegrams: t('ui-sensors.line'),
  frequency: t('ui-sensors.curve'),
  duty: t('ui-sensors.curve'),
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
  if (isSent(profile)) return <Typography variant="body2">{lawInWords(profile, unit)}</Typography>;
  const noun = NOUNS[form];
  const middle = points.reduce((sum, { value }) => sum + value, 0) / points.length;
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const doubtful = fit?.doubtful === undefined ? undefined : points[fit.doubtful];
  const bare = (value: number): string => toShown(value, measures, unit).toFixed(1);
  return (
    <Box>
      <Suspense fallback={<Loading what={t('ui-sensors.the-curve')} />}>
        <CurveChart
          profile={profile}
          unit={unit}
          points={points}
          doubtful={fit?.doubtful === undefined ? [] : [fit.doubtful]}
        />
        {fit && form !== 'table' && fit.scatterVolts > LEAST_SHOWN_VOLTS && (
          <>
            <Typography variant="body2" sx={{ fontWeight: 600 }}>
              {t('ui-sensors.points-less-mv', { noun })}
            </Typography>
            <ResidualChart profile={profile} fit={fit} points={points} unit={unit} />
          </>
        )}
      </Suspense>
      {fit && form !== 'table' && points.length > 2 && (
        <Typography variant="body2">
          {t('ui-sensors.points-scatter-about-mv-middle', {
            law: lawInWords(profile, unit),
            noun,
            scatterVolts: (fit.scatterVolts * 1000).toFixed(0),
            scatterVolts2: formatValue(
              Math.abs(fit.scatterVolts * curve.valuePerVoltAt(curve.voltsAt(middle))),
              measures,
              unit,
            ),
            value: (2 * fit.standardUncertaintyVoltsAt(middle) * 1000).toFixed(0),
          })}
        </Typography>
      )}
      {fit?.turns && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          {t('ui-sensors.volts-stand-still-turn-round')}
        </Alert>
      )}
      {fit?.doubtful !== undefined && doubtful && (
        <Alert severity="warning" sx={{ mt: 1 }}>
          {t('ui-sensors.point-v-does-not-fit', {
            bare: bare(doubtful.value),
            shownUnit: shownUnit(measures, unit),
            volts: doubtful.volts.toFixed(3),
            residualVolts: ((fit.residualVolts[fit.doubtful] ?? 0) * 1000).toFixed(0),
            noun,
          })}
        </Alert>
      )}
    </Box>
  );
}

/** The formula, where it is short enough to be worth reading. */
export function lawInWords(profile: SensorProfile, unit: PressureUnit): string {
  const { transfer, measures } = profile;
  switch (transfer.form) {
    case 'hot-element':
      return t('ui-sensors.hot-element-law', {
        a: transfer.a.toFixed(3),
        b: transfer.b.toFixed(3),
        n: transfer.n.toFixed(3),
      });
    case 'polynomial':
      return t('ui-sensors.polynomial-degree-volts', { length: transfer.coefficients.length - 1 });
    case 'telegrams': {
      const show = (value: number) => formatValue(value, measures, unit);
      return t('ui-sensors.telegram-law', {
        lowStep: String(transfer.low.step),
        low: show(transfer.low.value),
        highStep: String(transfer.high.step),
        high: show(transfer.high.value),
      });
    }
    case 'frequency':
      return pulseLaw(
        'frequency',
        transfer.points.map(({ hertz, value }) => ({ at: `${hertz} Hz`, value })),
        profile,
        unit,
      );
    case 'duty':
      return pulseLaw(
        'duty',
        transfer.points.map(({ upPercent, value }) => ({ at: `${upPercent} %`, value })),
        profile,
        unit,
      );
    case 'linear':
    case 'ratiometric':
    case 'table':
      return '';
  }
}

/** Both ends of the range, and how many points lie between. */
function pulseLaw(
  by: 'frequency' | 'duty',
  points: readonly { at: string; value: number }[],
  { measures }: SensorProfile,
  unit: PressureUnit,
): string {
  const sorted = [...points].sort((a, b) => a.value - b.value);
  const [low, high] = [sorted[0]!, sorted.at(-1)!];
  const show = (value: number) => formatValue(value, measures, unit);
  return t('ui-sensors.pulse-law', {
    by,
    lowAt: low.at,
    low: show(low.value),
    highAt: high.at,
    high: show(high.value),
    between: points.length - 2,
  });
}
