import { MEASURANDS, toShown, type PressureUnit } from '@lettura/core/measure/quantity';
import { curveOf, toleranceAt, type SensorProfile } from '@lettura/core/measure/transfer';
import { inPoints, PAPER_INK, plot } from './plot.ts';

/** A step as it was read, in the unit and basis of the measurand. */
export interface MeasuredPoint {
  value: number;
  volts: number;
  /** It disagrees by as much as matters, or cannot be judged. */
  isOff: boolean;
}

const HEIGHT_PT = 190;
const STEPS = 80;
const MARK_PT = 3;

/** The curve of a sensor with the band of its tolerance, and what was measured beside it, as SVG. */
export function curvePicture(
  profile: SensorProfile,
  points: readonly MeasuredPoint[],
  unit: PressureUnit,
  titles: { described: string; value: string; volts: string },
): string {
  const { measures, lowest, highest, nominalReferenceVolts } = profile;
  const curve = curveOf(profile, nominalReferenceVolts);
  const shown = (value: number) => toShown(value, measures, unit);
  const rows = Array.from({ length: STEPS + 1 }, (_, i) => {
    const value = lowest + ((highest - lowest) * i) / STEPS;
    const tolerance = toleranceAt(value, profile);
    // Less than no flow is not drawn: the law is only mirrored there to keep a dead signal readable.
    const below = MEASURANDS[measures].unit === 'g/s' ? Math.max(0, value - tolerance) : value - tolerance;
    return {
      at: shown(value),
      volts: curve.voltsAt(value),
      band: [curve.voltsAt(below), curve.voltsAt(value + tolerance)] as const,
    };
  });
  const volts = [...rows.flatMap(({ band }) => [...band]), ...points.map((point) => point.volts), 0];
  const values = [...rows.map(({ at }) => at), ...points.map(({ value }) => shown(value))];
  return plot({
    described: titles.described,
    x: { ends: [Math.min(...values), Math.max(...values)], title: titles.value },
    y: { ends: [Math.min(...volts), Math.max(...volts)], title: titles.volts },
    heightPt: HEIGHT_PT,
    marks: ({ x, y }) => {
      const spot = (at: number, value: number) => `${inPoints(x(at))} ${inPoints(y(value))}`;
      const upper = rows.map(({ at, band }) => spot(at, Math.max(...band)));
      const lower = rows.map(({ at, band }) => spot(at, Math.min(...band))).reverse();
      return [
        `<path d="M${[...upper, ...lower].join('L')}Z" fill="${PAPER_INK.band}"/>`,
        `<path d="M${rows.map((row) => spot(row.at, row.volts)).join('L')}" fill="none" stroke="${PAPER_INK.line}" stroke-width="0.9"/>`,
        ...points.map(({ value, volts: read, isOff }) => mark(x(shown(value)), y(read), isOff)),
      ].join('');
    },
  });
}

/** A cross where it is off, a dot where it is not: told apart without colours. */
function mark(x: number, y: number, isOff: boolean): string {
  const [left, right, top, bottom] = [x - MARK_PT, x + MARK_PT, y - MARK_PT, y + MARK_PT].map(inPoints);
  return isOff
    ? `<path d="M${left} ${top}L${right} ${bottom}M${left} ${bottom}L${right} ${top}" stroke="${PAPER_INK.bad}" stroke-width="1.4"/>`
    : `<circle cx="${inPoints(x)}" cy="${inPoints(y)}" r="${inPoints(MARK_PT - 0.6)}" fill="${PAPER_INK.good}"/>`;
}
