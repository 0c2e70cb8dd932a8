import { inflateRawSync } from 'node:zlib';
import type { RecordingInfo } from '@lettura/contract';
import { envelopeInTime, MinMaxPyramid, type Envelope } from '@lettura/core/recording/sweep';
import { inPoints, PAPER_INK, plot, type Places } from './plot.ts';

/** What is on record of it, and its numbers as they are kept: deflated. */
export interface DrawnRecording {
  info: Pick<RecordingInfo, 'name' | 'channels' | 'samples' | 'findings'>;
  deflated: Uint8Array;
}

/** Finer than a printed line is wide. */
const COLUMNS = 450;
const HEIGHT_PT = 96;

/**
 * A recording as one picture a channel, over all of its time: in each column lowest and highest of every sample, so that a
 * dropout of one sample is seen. What a fault was found in is shaded.
 *
 * @returns SVG, in the order of the channels
 */
export function recordingPictures({ info, deflated }: DrawnRecording): string[] {
  const bytes = inflateRawSync(deflated);
  const numbers = new Float64Array(bytes.buffer.slice(bytes.byteOffset, bytes.byteOffset + bytes.byteLength));
  const column = (i: number) => numbers.subarray(i * info.samples, (i + 1) * info.samples);
  const seconds = column(0);
  const [fromSeconds, toSeconds] = [seconds[0] ?? 0, seconds.at(-1) ?? 0];
  return info.channels.map(({ name, unit }, i) => {
    const envelope = envelopeInTime(seconds, new MinMaxPyramid(column(i + 1)), {
      fromSeconds,
      toSeconds,
      columns: COLUMNS,
    });
    const finite = [...envelope.lowest, ...envelope.highest].filter(Number.isFinite);
    const width = (toSeconds - fromSeconds) / COLUMNS;
    const faults = info.findings.filter(({ weight, channel }) => weight === 'fault' && channel === i);
    return plot({
      described: `${info.name}, ${name}`,
      x: { ends: [fromSeconds, toSeconds], title: 's' },
      y: {
        ends: finite.length > 0 ? [Math.min(...finite), Math.max(...finite)] : [0, 1],
        title: unit === '' ? name : `${name}, ${unit}`,
      },
      heightPt: HEIGHT_PT,
      marks: (at) =>
        faults
          .map(({ fromSeconds: from, untilSeconds: until }) =>
            shade(at, Math.max(from, fromSeconds), Math.min(until, toSeconds)),
          )
          .join('') + trace(at, envelope, (column) => fromSeconds + (column + 0.5) * width),
    });
  });
}

/** However short, it is seen. */
const LEAST_SHADE_PT = 1.5;
function shade({ x, top, bottom }: Places, from: number, until: number): string {
  const width = Math.max(LEAST_SHADE_PT, x(until) - x(from));
  return `<rect x="${inPoints(x(from))}" y="${top}" width="${inPoints(width)}" height="${bottom - top}" fill="${PAPER_INK.bad}" fill-opacity="0.18"/>`;
}

/** From the highest of a column to its lowest, and on to the next; a gap in the record is a gap in the line. */
function trace(at: Places, { lowest, highest }: Envelope, secondsOf: (column: number) => number): string {
  let path = '';
  let isDown = false;
  for (let column = 0; column < lowest.length; column++) {
    const [low, high] = [lowest[column]!, highest[column]!];
    if (!Number.isFinite(low)) {
      isDown = false;
      continue;
    }
    const x = inPoints(at.x(secondsOf(column)));
    path += `${isDown ? 'L' : 'M'}${x} ${inPoints(at.y(high))}L${x} ${inPoints(at.y(low))}`;
    isDown = true;
  }
  return `<path d="${path}" fill="none" stroke="${PAPER_INK.good}" stroke-width="0.8"/>`;
}
