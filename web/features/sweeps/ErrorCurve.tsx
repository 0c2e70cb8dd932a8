import { useTheme } from '@mui/material/styles';
import { shownUnit, toShown, type Measurand, type PressureUnit } from '@lettura/core/measure/quantity';
import type { Calibration } from '@lettura/core/recording/sweep';
import {
  CartesianGrid,
  ComposedChart,
  Legend,
  Line,
  ResponsiveContainer,
  Scatter,
  XAxis,
  YAxis,
} from 'recharts';
import { t } from '../../ui/words.ts';

export interface ErrorCurveProps {
  found: Calibration;
  measures: Measurand;
  pressureUnit: PressureUnit;
}

/** Errors in per cent of the span along the levels, with their mean and what the sensor is allowed. */
export default function ErrorCurve({ found, measures, pressureUnit }: ErrorCurveProps) {
  const { palette } = useTheme();
  const { levels, span, allowedPercent } = found;
  const percent = (error: number) => (100 * error) / span;
  const at = (level: number) => toShown(level, measures, pressureUnit);
  const points = (errors: (one: (typeof levels)[number]) => readonly number[]) =>
    levels.flatMap((one) => errors(one).map((error) => ({ level: at(one.level), percent: percent(error) })));
  const ink = palette.text.primary;
  const still = { isAnimationActive: false } as const;
  return (
    <div role="img" aria-label={t('ui-sweeps.error-curve')}>
      <ResponsiveContainer width="100%" height={260}>
        <ComposedChart
          data={levels.map(({ level, meanError }, i) => ({
            level: at(level),
            percent: percent(meanError),
            allowed: allowedPercent[i],
            allowedBelow: -allowedPercent[i]!,
          }))}
          margin={{ top: 8, right: 16, bottom: 20, left: 8 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis
            dataKey="level"
            type="number"
            domain={['auto', 'auto']}
            stroke={ink}
            fontSize={14}
            label={{
              value: shownUnit(measures, pressureUnit),
              position: 'insideBottom',
              offset: -12,
              fill: ink,
            }}
          />
          <YAxis
            dataKey="percent"
            stroke={ink}
            fontSize={14}
            domain={['auto', 'auto']}
            tickFormatter={(value: number) => value.toFixed(2).replace('-', '−')}
            label={{ value: '%', angle: 0, position: 'insideTopLeft', fill: ink }}
          />
          <Legend verticalAlign="top" />
          {(['allowed', 'allowedBelow'] as const).map((which) => (
            <Line
              key={which}
              dataKey={which}
              legendType="none"
              stroke={palette.standing.unknown}
              strokeDasharray="4 3"
              dot={false}
              activeDot={false}
              {...still}
            />
          ))}
          <Line
            name={t('ui-sweeps.mean')}
            dataKey="percent"
            stroke={ink}
            dot={false}
            activeDot={false}
            {...still}
          />
          <Scatter
            name={t('ui-sweeps.come-to-from-below')}
            data={points(({ up }) => up)}
            fill={palette.primary.main}
            shape="triangle"
            {...still}
          />
          <Scatter
            name={t('ui-sweeps.come-to-from-above')}
            data={points(({ down }) => down)}
            fill={ink}
            shape="square"
            {...still}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
