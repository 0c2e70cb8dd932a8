import { useTheme } from '@mui/material/styles';
import { MEASURANDS, toShown, type PressureUnit, measurandSaid } from '@lettura/core/measure/quantity';
import { curveOf, toleranceAt, type CurvePoint, type SensorProfile } from '@lettura/core/measure/transfer';
import { ComposedChart, Line, ResponsiveContainer, Scatter, XAxis, YAxis, CartesianGrid } from 'recharts';
import { thinnedPoints } from './thinnedPoints.ts';
import { said, t } from '../../ui/words.ts';
import { verbatim } from '@lettura/core/measure/message';
import { unitInWords } from '../../ui/unitInWords.ts';

const STEPS = 80;

export interface CurveChartProps {
  profile: SensorProfile;
  unit: PressureUnit;
  /** Measured points, drawn on the curve they made. */
  points?: readonly CurvePoint[];
  doubtful?: readonly number[];
  heightPx?: number;
  /** Of the sensor itself, where its tolerance depends on it. */
  sensorCelsius?: number | undefined;
}

/** The sensor's curve at its nominal reference, with the band of its tolerance. */
export default function CurveChart(props: CurveChartProps) {
  const { profile, unit, points = [], doubtful = [], sensorCelsius, heightPx = 300 } = props;
  const { palette } = useTheme();
  const { measures, lowest, highest } = profile;
  const curve = curveOf(profile, profile.nominalReferenceVolts);
  const rows = Array.from({ length: STEPS + 1 }, (_, i) => {
    const value = lowest + ((highest - lowest) * i) / STEPS;
    const tolerance = toleranceAt(value, profile, sensorCelsius);
    return {
      value: toShown(value, measures, unit),
      volts: curve.voltsAt(value),
      // Less than no flow is not drawn: the law is only mirrored there to keep a dead signal readable.
      lower: curve.voltsAt(measures === 'air-flow' ? Math.max(0, value - tolerance) : value - tolerance),
      upper: curve.voltsAt(value + tolerance),
    };
  });
  const marks = thinnedPoints(points, doubtful).map(({ value, volts, bad }) => ({
    value: toShown(value, measures, unit),
    measured: volts,
    bad,
  }));
  const every = [
    ...rows.flatMap(({ upper, lower }) => [upper, lower]),
    ...marks.map(({ measured }) => measured),
  ];
  const lowestVolts = Math.min(0, Math.floor(every.reduce((a, b) => Math.min(a, b), Infinity)));
  const highestVolts = Math.ceil(every.reduce((a, b) => Math.max(a, b), -Infinity));
  const ink = palette.text.primary;
  const band = {
    stroke: palette.standing.unknown,
    strokeDasharray: '4 3',
    dot: false,
    isAnimationActive: false,
  } as const;
  const span = toShown(highest, measures, unit) - toShown(lowest, measures, unit);
  return (
    <div
      role="img"
      aria-label={t('ui-sensors.signal-against-tolerance-dashed', {
        measurand: said(measurandSaid(measures)),
        lowest,
        highest,
        unit: verbatim(MEASURANDS[measures].unit),
      })}
    >
      <ResponsiveContainer width="100%" height={heightPx}>
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
            tickFormatter={(value: number) => value.toFixed(span < 10 ? 1 : 0)}
            label={{ value: unitInWords(measures, unit), position: 'insideBottom', offset: -12, fill: ink }}
          />
          <YAxis
            stroke={ink}
            fontSize={14}
            domain={[lowestVolts, highestVolts]}
            tickCount={Math.min(12, highestVolts - lowestVolts + 1)}
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
