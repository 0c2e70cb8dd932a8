import { useTheme } from '@mui/material/styles';
import { fromKpa, type PressureUnit } from '@lettura/core/quantity';
import { curveOf, type LinePoint, type SensorProfile } from '@lettura/core/transfer';
import { ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis, CartesianGrid } from 'recharts';

const STEPS = 80;

export interface CurveChartProps {
  profile: SensorProfile;
  unit: PressureUnit;
  /** Measured points, drawn on the curve they made. */
  points?: readonly LinePoint[];
  doubtful?: number | undefined;
}

/** The sensor's curve at its nominal reference, with the band of its tolerance. */
export default function CurveChart({ profile, unit, points = [], doubtful }: CurveChartProps) {
  const { palette } = useTheme();
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const { lowestKpaAbs, highestKpaAbs, toleranceKpa } = profile;
  const rows = Array.from({ length: STEPS + 1 }, (_, i) => {
    const kpa = lowestKpaAbs + ((highestKpaAbs - lowestKpaAbs) * i) / STEPS;
    return {
      pressure: fromKpa(kpa, unit),
      volts: curve.voltsAt(kpa),
      lower: curve.voltsAt(kpa - toleranceKpa),
      upper: curve.voltsAt(kpa + toleranceKpa),
    };
  });
  const marks = points.map(({ kpaAbs, volts }, i) => ({
    pressure: fromKpa(kpaAbs, unit),
    measured: volts,
    bad: i === doubtful,
  }));
  const highestVolts = Math.ceil(
    Math.max(
      ...rows.map(({ upper, lower }) => Math.max(upper, lower)),
      ...marks.map(({ measured }) => measured),
    ),
  );
  const ink = palette.text.primary;
  const band = {
    stroke: palette.standing.unknown,
    strokeDasharray: '4 3',
    dot: false,
    isAnimationActive: false,
  } as const;
  return (
    <div
      role="img"
      aria-label={`Signal against pressure, ${profile.lowestKpaAbs} to ${profile.highestKpaAbs} kPa absolute, with the tolerance dashed`}
    >
      <ResponsiveContainer width="100%" height={300}>
        <ComposedChart
          data={rows}
          margin={{ top: 8, right: 16, bottom: 20, left: 8 }}
          accessibilityLayer={false}
        >
          <CartesianGrid stroke={palette.divider} strokeOpacity={0.5} />
          <XAxis
            dataKey="pressure"
            type="number"
            domain={['dataMin', 'dataMax']}
            stroke={ink}
            fontSize={14}
            tickFormatter={(value: number) => value.toFixed(value < 10 ? 1 : 0)}
            label={{ value: `${unit} absolute`, position: 'insideBottom', offset: -12, fill: ink }}
          />
          <YAxis
            stroke={ink}
            fontSize={14}
            domain={[0, highestVolts]}
            tickCount={highestVolts + 1}
            tickFormatter={(value: number) => value.toFixed(1)}
            label={{ value: 'V', angle: 0, position: 'insideTopLeft', fill: ink }}
          />
          <Line dataKey="lower" {...band} />
          <Line dataKey="upper" {...band} />
          <Line dataKey="volts" stroke={ink} strokeWidth={2.5} dot={false} isAnimationActive={false} />
          <Scatter
            data={marks.filter(({ bad }) => !bad)}
            dataKey="measured"
            fill={palette.primary.main}
            isAnimationActive={false}
          />
          <Scatter
            data={marks.filter(({ bad }) => bad)}
            dataKey="measured"
            fill={palette.standing.faulty}
            shape="cross"
            isAnimationActive={false}
          />
        </ComposedChart>
      </ResponsiveContainer>
    </div>
  );
}
