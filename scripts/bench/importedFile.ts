import { closeSync, openSync, readSync, statSync } from 'node:fs';
import { MPX4250A } from '@lettura/core/measure/transfer';
import { layoutOf, NumberScanner } from '@lettura/core/recording/file';
import type { SweepContext } from '@lettura/core/recording/sweep';

export const ROWS = 1_000_000;
export const CONTEXT: SweepContext = { profile: MPX4250A, uses: ['signal', 'other', 'live'] };
/** A file comes in pieces of about this size. */
const PIECE_BYTES = 1 << 18;

export function fileOf(): Uint8Array {
  const lines = ['Time [s],Signal [V],Reference [V],Live [kPa]'];
  for (let i = 0; i < ROWS; i++) {
    const volts = i === 654_321 ? 0.01 : 2.5 + 1.5 * Math.sin(i / 30_000) + 0.004 * Math.sin(i * 1.7);
    lines.push(
      `${(i / 1000).toFixed(3)},${volts.toFixed(4)},${(5 + 0.001 * Math.sin(i)).toFixed(4)},${Math.round(40 * volts)}`,
    );
  }
  return new TextEncoder().encode(`${lines.join('\n')}\n`);
}

export function read(path: string) {
  let scanner: NumberScanner | undefined;
  pieces(path, (bytes) => {
    scanner ??= new NumberScanner(layoutIn(bytes), 1000, statSync(path).size);
    scanner.feed(bytes);
  });
  return scanner!.finish();
}

function layoutIn(bytes: Uint8Array) {
  const first = new TextDecoder().decode(bytes.subarray(0, 4000)).split('\n').slice(0, 20);
  const layout = layoutOf(
    first.map((line) => line.split(',')),
    ',',
  );
  if (!layout.ok) throw new Error(layout.problem.code);
  return layout.value;
}

export function pieces(path: string, take: (bytes: Uint8Array) => void): void {
  const file = openSync(path, 'r');
  const buffer = new Uint8Array(PIECE_BYTES);
  for (let read = readSync(file, buffer); read > 0; read = readSync(file, buffer))
    take(buffer.subarray(0, read));
  closeSync(file);
}
