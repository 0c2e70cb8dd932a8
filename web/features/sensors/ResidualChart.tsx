import { useTheme } from '@mui/material/styles';
import { toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import type { CurveFit, CurvePoint, SensorProfile } from '@lettura/core/measure/transfer';
import {
  CartesianGrid,
  ComposedChart,
  Line,
  ReferenceLine,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { thinnedPoints } from './thinnedPoints.ts';
import { t } from '../../ui/words.ts';
import { unitInWords } from '../../ui/unitInWords.ts';

const STEPS = 60;

export interface ResidualChartProps {
  profile: SensorProfile;
  fit: CurveFit;
  points: readonly CurvePoint[];
  unit: PressureUnit;
}

/** Each point less the fitted curve, in millivolts, and how well the curve itself is known (k = 2, dashed). */
export default function ResidualChart({ profile, fit, points, unit }: ResidualChartProps) {
  const { palette } = useTheme();
  const { measures, lowest, highest } = profile;
  const rows = Array.from({ length: STEPS + 1 }, (_, i) => {
    const value = lowest + ((highest - lowest) * i) / STEPS;
    const known = 2000 * fit.standardUncertaintyVoltsAt(value);
    return { value: toShown(value, measures, unit), upper: known, lower: -known };
  });
  const off = points.map(({ value }, i) => ({ value, volts: (fit.residualVolts[i] ?? 0) * 1000 }));
  const marks = thinnedPoints(off, fit.doubtful === undefined ? [] : [fit.doubtful]).map(
    ({ value, volts, bad }) => ({
      value: toShown(value, measures, unit),
      residual: volts,
      bad,
    }),
  );
  const ink = palette.text.primary;
  const band = {
    stroke: palette.standing.unknown,
    strokeDasharray: '4 3',
    dot: false,
    isAnimationActive: false,
  } as const;
  return (
    <div role="img" aria-label={t('ui-sensors.residuals-points-millivolts-uncertainty-curve')}>
      <ResponsiveContainer width="100%" height={150}>
        <ComposedChart
          data={rows}
          margin={{ top: 8, right: 16, bottom: 20, left: 8 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis
            dataKey="value"
            type="number"
            domain={['dataMin', 'dataMax']}
            stroke={ink}
            fontSize={14}
            tickFormatter={(value: number) => String(Math.round(value * 10) / 10)}
            label={{ value: unitInWords(measures, unit), position: 'insideBottom', offset: -12, fill: ink }}
          />
          <YAxis
            stroke={ink}
            fontSize={14}
            tickCount={5}
            tickFormatter={(value: number) =>
              Math.abs(value) < 10 ? value.toPrecision(2) : value.toFixed(0)
            }
          />
          <ReferenceLine y={0} stroke={ink} />
          <Line dataKey="lower" {...band} />
          <Line dataKey="upper" {...band} />
          <Scatter
            data={marks.filter(({ bad }) => !bad)}
            dataKey="residual"
            fill={palette.primary.main}
            isAnimationActive={false}
          />
          <Scatter
            data={marks.filter(({ bad }) => bad)}
            dataKey="residual"
            fill={palette.standing.faulty}
            shape="cross"
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
