import type { Recording } from '@lettura/core/recording/sweep';

const PIECE_BYTES = 1 << 20;

/** The columns one after the other, in pieces that are views: nothing is copied but what is being deflated. */
function columnStream(columns: readonly Float64Array[]): ReadableStream<BufferSource> {
  let [column, at] = [0, 0];
  return new ReadableStream({
    pull(controller) {
      const values = columns[column];
      if (!values) {
        controller.close();
        return;
      }
      const bytes = Math.min(PIECE_BYTES, values.byteLength - at);
      // A copy of the piece: whoever reads a stream may take its buffers away.
      controller.enqueue(new Uint8Array(values.buffer as ArrayBuffer, values.byteOffset + at, bytes).slice());
      at += bytes;
      if (at >= values.byteLength) [column, at] = [column + 1, 0];
    },
  });
}

/** All moments, then channel by channel, as the contract has it: deflated, and in pieces of base64 that join. */
export async function packed({ seconds, channels }: Recording): Promise<string[]> {
  const columns = [seconds, ...channels.map(({ values }) => values)];
  const deflated = columnStream(columns).pipeThrough(new CompressionStream('deflate-raw'));
  return base64Of(new Uint8Array(await new Response(deflated).arrayBuffer()));
}

export async function unpacked(
  data: string,
  samples: number,
  channels: readonly { name: string; unit: string }[],
): Promise<Recording> {
  const inflated = new Blob([bytesOf(data)]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
  const floats = new Float64Array(await new Response(inflated).arrayBuffer());
  const column = (i: number) => floats.subarray(i * samples, (i + 1) * samples);
  return {
    seconds: column(0),
    channels: channels.map(({ name, unit }, i) => ({ name, unit, values: column(i + 1) })),
  };
}

function bytesOf(base64: string): Uint8Array<ArrayBuffer> {
  const letters = atob(base64);
  const bytes = new Uint8Array(letters.length);
  for (let i = 0; i < letters.length; i++) bytes[i] = letters.charCodeAt(i);
  return bytes;
}

/** A multiple of three: pieces of base64 then join without padding between them. */
const BASE64_PIECE = 3 * 8192;
function base64Of(bytes: Uint8Array): string[] {
  const pieces: string[] = [];
  for (let at = 0; at < bytes.length; at += BASE64_PIECE)
    pieces.push(btoa(String.fromCharCode(...bytes.subarray(at, at + BASE64_PIECE))));
  return pieces;
}
