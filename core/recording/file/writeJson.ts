import type { PressureBasis } from '../../measure/quantity/index.ts';
import type { ChannelUse, Recording, SweepMark } from '../sweep/index.ts';

export const RECORDING_FORMAT = 'lettura-recording';
export const RECORDING_VERSION = 1;

/** What a recording's file says beside its numbers. */
export interface RecordingHeading {
  name: string;
  takenAt: string;
  uses: readonly ChannelUse[];
  /** Of channels that are pressures, where it is known. */
  bases?: readonly (PressureBasis | undefined)[] | undefined;
  marks: readonly SweepMark[];
  note: string;
}

const PIECE = 10_000;

/** The whole of a recording as JSON, every number so that it is read back exactly, a gap as null. In pieces. */
export function* jsonOf(
  { seconds, channels }: Recording,
  { name, takenAt, uses, bases = [], marks, note }: RecordingHeading,
): Generator<string> {
  const heading = JSON.stringify({
    format: RECORDING_FORMAT,
    version: RECORDING_VERSION,
    name,
    takenAt,
    note,
    marks,
    channels: channels.map(({ name: of, unit }, i) => ({
      name: of,
      unit,
      use: uses[i] ?? 'other',
      ...(bases[i] ? { basis: bases[i] } : {}),
    })),
  });
  yield `${heading.slice(0, -1)},"seconds":`;
  yield* numbers(seconds);
  yield ',"values":[';
  for (const [i, { values }] of channels.entries()) {
    if (i > 0) yield ',';
    yield* numbers(values);
  }
  yield ']}\n';
}

function* numbers(values: Float64Array): Generator<string> {
  yield '[';
  for (let from = 0; from < values.length; from += PIECE) {
    const piece = Array.from(values.subarray(from, from + PIECE), (value) =>
      Number.isNaN(value) ? 'null' : String(value),
    ).join(',');
    yield from === 0 ? piece : `,${piece}`;
  }
  yield ']';
}
