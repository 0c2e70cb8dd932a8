import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { voltsInWords } from './numbersInWords.ts';
import { t } from './words.ts';
import { scaleEnds, ticksOf } from './voltScale.ts';

export interface VoltBand {
  from: number;
  to: number;
  /** Marked with this on the scale. */
  mark: string;
  isExpected: boolean;
}

export interface VoltScaleProps {
  bands: readonly VoltBand[];
  /** What is read, or typed. */
  volts?: number | undefined;
  /** For a row of a table, all of which share one scale without numbers that holds these volts. */
  slim?: { mostVolts: number } | undefined;
}

const WIDTH = 320;
const INSET = 12;
const AXIS_Y = 34;
/** Above it nothing is drawn where no band has a letter but the reading. */
const SLIM_TOP = 8;
const SLIM_HEIGHT = 28;

/** Where a voltage falls: what is expected as a full bar, every other meaning as an open one, and the reading above them. */
export function VoltScale({ bands, volts, slim }: VoltScaleProps) {
  const { palette } = useTheme();
  const [lowest, highest] = scaleEnds([
    ...bands.flatMap(({ from, to }) => [from, to]),
    ...(volts === undefined ? [] : [volts]),
    slim?.mostVolts ?? 0,
  ]);
  const x = (value: number) =>
    INSET +
    (WIDTH - 2 * INSET) * ((Math.min(highest, Math.max(lowest, value)) - lowest) / (highest - lowest));
  const expected = bands.find(({ isExpected }) => isExpected);
  const ink = palette.text.primary;
  return (
    <Box
      component="svg"
      role="img"
      aria-label={t('ui.volt-scale', {
        expected: expected ? `${voltsInWords(expected.from)} – ${voltsInWords(expected.to)}` : '',
        volts: volts === undefined ? '' : voltsInWords(volts),
        hasExpected: expected !== undefined,
        hasVolts: volts !== undefined,
      })}
      viewBox={slim ? `0 ${SLIM_TOP} ${WIDTH} ${SLIM_HEIGHT}` : `0 0 ${WIDTH} 54`}
      sx={{ display: 'block', width: '100%', maxWidth: slim ? 240 : 420, my: slim ? 0 : 0.5 }}
    >
      <path d={`M${INSET} ${AXIS_Y} H${WIDTH - INSET}`} stroke={ink} strokeWidth={1.5} />
      {ticksOf(lowest, highest).map(({ at, label }, i, all) => (
        <g key={at}>
          <path d={`M${x(at)} ${AXIS_Y} v5`} stroke={ink} strokeWidth={1.5} />
          {!slim && (
            <text
              x={i === all.length - 1 ? Math.min(WIDTH, x(at) + 16) : x(at)}
              y={AXIS_Y + 17}
              // The last one has the unit, and no room beside the scale.
              textAnchor={i === all.length - 1 ? 'end' : 'middle'}
              fontSize={12}
              fill={palette.text.secondary}
            >
              {label}
            </text>
          )}
        </g>
      ))}
      {bands.map(({ from, to, mark, isExpected }) => {
        const wide = Math.max(5, x(to) - x(from));
        const left = Math.min(WIDTH - INSET - wide, x(from));
        return (
          <g key={mark + String(from)}>
            <rect
              x={left}
              y={AXIS_Y - 12}
              width={wide}
              height={12}
              fill={isExpected ? palette.standing.proven : palette.background.paper}
              stroke={isExpected ? palette.standing.proven : ink}
              strokeWidth={1.5}
            />
            {!isExpected && (
              <text
                x={left + wide / 2}
                y={AXIS_Y - 15}
                textAnchor="middle"
                fontSize={12}
                fontWeight={700}
                fill={ink}
              >
                {mark}
              </text>
            )}
          </g>
        );
      })}
      {volts !== undefined && (
        <path
          d={`M${x(volts)} ${AXIS_Y} l-6 -12 h12 z`}
          transform={`translate(0 ${-13})`}
          fill={palette.primary.main}
        />
      )}
    </Box>
  );
}
