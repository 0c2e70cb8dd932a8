import { checksum4 } from './checksum.ts';
import { CALIBRATION_TICKS, NIBBLE_ZERO_TICKS, type Telegrams } from './telegrams.ts';

/** One pulse of a frame, from falling edge to falling edge. */
export interface FramePart {
  of: 'calibration' | 'status' | 'data' | 'checksum';
  fromSeconds: number;
  untilSeconds: number;
  /** 0 to 15; of the calibration none. */
  nibble: number | undefined;
}

/** The pulses of a good frame in their order, by the median tick: what comes after the checksum is a pause or the next frame. */
export function framePartsOf(telegrams: Telegrams, frame: number): FramePart[] {
  const { layout, startSeconds, status, data, tickSeconds } = telegrams;
  const { nibbles } = layout;
  const own = data.subarray(frame * nibbles, (frame + 1) * nibbles);
  const said: readonly Pick<FramePart, 'of' | 'nibble'>[] = [
    { of: 'calibration', nibble: undefined },
    { of: 'status', nibble: status[frame]! },
    ...Array.from(own, (nibble) => ({ of: 'data', nibble }) as const),
    { of: 'checksum', nibble: checksum4(own, 0, nibbles, layout.checksum) },
  ];
  let at = startSeconds[frame]!;
  return said.map(({ of, nibble }) => {
    const ticks = nibble === undefined ? CALIBRATION_TICKS : NIBBLE_ZERO_TICKS + nibble;
    const fromSeconds = at;
    at += ticks * tickSeconds;
    return { of, nibble, fromSeconds, untilSeconds: at };
  });
}
