import { MEASURANDS, type Measurand } from '@lettura/core/measure/quantity';
import type { Calibration } from '@lettura/core/recording/sweep';

/** A calibration as CSV (RFC 4180): every held level in its order, in the unit that the core keeps for it. */
export function calibrationCsv({ readings, span }: Calibration, measures: Measurand): string {
  const { unit } = MEASURANDS[measures];
  const head = [
    'direction',
    `level [${unit}]`,
    `read [${unit}]`,
    `error [${unit}]`,
    'error [% of span]',
    'from [s]',
    'until [s]',
  ];
  const rows = readings.map(({ direction, level, reads, fromSeconds, untilSeconds }) =>
    [
      direction,
      level.toFixed(4),
      reads.toFixed(4),
      (reads - level).toFixed(4),
      ((100 * (reads - level)) / span).toFixed(4),
      fromSeconds.toFixed(3),
      untilSeconds.toFixed(3),
    ].join(','),
  );
  return `${[head.join(','), ...rows].join('\r\n')}\r\n`;
}
