import Typography from '@mui/material/Typography';
import { useTheme } from '@mui/material/styles';
import { CartesianGrid, Line, LineChart, ResponsiveContainer, XAxis, YAxis } from 'recharts';
import { t } from '../../ui/words.ts';
import { dayAndClock } from '../../ui/when.ts';
import type { PointOverTime } from './pointsOverTime.ts';

/** One point over time: reading after reading, at equal distances, since days without any would leave nothing to see. */
export default function PointChart({
  point: { place, state, unit, readings },
  isOneMachine,
}: {
  point: PointOverTime;
  /** Else no line leads from one machine to the next. */
  isOneMachine: boolean;
}) {
  const { palette } = useTheme();
  const rows = readings.map(({ takenAt, value }) => ({ when: dayAndClock(takenAt), value }));
  return (
    <div role="img" aria-label={t('ui-machines.point-over-time', { place, state, count: readings.length })}>
      {/* Above the axis: beside it the highest number would lie under it. */}
      <Typography variant="body2">{unit}</Typography>
      <ResponsiveContainer width="100%" height={180}>
        <LineChart data={rows} margin={{ top: 8, right: 16, bottom: 4, left: 8 }} accessibilityLayer={false}>
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis dataKey="when" stroke={palette.text.primary} fontSize={14} minTickGap={24} />
          <YAxis
            stroke={palette.text.primary}
            fontSize={14}
            tickCount={5}
            domain={['auto', 'auto']}
            tickFormatter={(value: number) => String(Number(value.toPrecision(3)))}
          />
          <Line
            dataKey="value"
            stroke={palette.primary.main}
            strokeWidth={isOneMachine ? 2 : 0}
            dot={{ r: 5, fill: palette.primary.main }}
            isAnimationActive={false}
          />
        </LineChart>
      </ResponsiveContainer>
    </div>
  );
}
