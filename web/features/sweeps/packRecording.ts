import type { Recording } from '@lettura/core/sweep';

/** All moments, then channel by channel, as the contract has it. */
export async function packed({ seconds, channels }: Recording): Promise<string> {
  const columns = [seconds, ...channels.map(({ values }) => values)];
  const stream = new Blob(columns.map((column) => column.slice().buffer)).stream();
  const deflated = stream.pipeThrough(new CompressionStream('deflate-raw'));
  return base64Of(new Uint8Array(await new Response(deflated).arrayBuffer()));
}

export async function unpacked(
  data: string,
  samples: number,
  channels: readonly { name: string; unit: string }[],
): Promise<Recording> {
  const bytes = Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
  const inflated = new Blob([bytes]).stream().pipeThrough(new DecompressionStream('deflate-raw'));
  const floats = new Float64Array(await new Response(inflated).arrayBuffer());
  const column = (i: number) => floats.subarray(i * samples, (i + 1) * samples);
  return {
    seconds: column(0),
    channels: channels.map(({ name, unit }, i) => ({ name, unit, values: column(i + 1) })),
  };
}

const PIECE = 0x8000;
function base64Of(bytes: Uint8Array): string {
  const pieces: string[] = [];
  for (let at = 0; at < bytes.length; at += PIECE)
    pieces.push(String.fromCharCode(...bytes.subarray(at, at + PIECE)));
  return btoa(pieces.join(''));
}
