import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import type { Network } from '@lettura/core/machine/circuit';

export const SOLVES = 100_000;
const SWEEP_POINTS = 10_000;

export function bareEliminations(size: number): number {
  const width = size + 1;
  const base = new Float64Array(size * width);
  for (let i = 0; i < size; i++) {
    for (let j = 0; j < size; j++) base[i * width + j] = i === j ? 2 * size : -1 - ((i * 7 + j * 3) % 5) / 10;
    base[i * width + size] = 1;
  }
  const rows = new Float64Array(size * width);
  const x = new Float64Array(size);
  let sum = 0;
  for (let n = 0; n < SOLVES; n++) {
    rows.set(base);
    const changed = n % size;
    rows[changed * width + changed] = rows[changed * width + changed]! + (n % 100);
    for (let k = 0; k < size; k++) {
      const inverse = 1 / rows[k * width + k]!;
      for (let r = k + 1; r < size; r++) {
        const factor = rows[r * width + k]! * inverse;
        for (let c = k + 1; c < width; c++)
          rows[r * width + c] = rows[r * width + c]! - factor * rows[k * width + c]!;
      }
    }
    for (let k = size - 1; k >= 0; k--) {
      let rest = rows[k * width + size]!;
      for (let c = k + 1; c < size; c++) rest -= rows[k * width + c]! * x[c]!;
      x[k] = rest / rows[k * width + k]!;
    }
    sum += x[changed]!;
  }
  return sum;
}

/** Long against short sweeps of a source in series with a megohm, so that the start-up falls out. */
export function spiceMicrosecondsAPoint(network: Network): number | undefined {
  if (spawnSync('ngspice', ['--version']).status !== 0) return undefined;
  network.solve();
  const folder = mkdtempSync(join(tmpdir(), 'lettura-spice-'));
  const file = join(folder, 'sweep.cir');
  const parts = straightParts(network);
  const seconds = (points: number) => {
    const sweep = ['VS sweep 0 0', 'RS sweep n8 1e6', '.control', `dc VS 0 5 ${5 / points}`, 'quit', '.endc'];
    writeFileSync(file, ['* straight pieces', ...parts, ...sweep, '.end', ''].join('\n'));
    const start = performance.now();
    const { status } = spawnSync('ngspice', ['-b', file], { encoding: 'utf8' });
    if (status !== 0) throw new Error('ngspice did not finish the sweep.');
    return (performance.now() - start) / 1000;
  };
  const short = Math.min(seconds(10), seconds(10), seconds(10));
  const long = Math.min(seconds(SWEEP_POINTS), seconds(SWEEP_POINTS), seconds(SWEEP_POINTS));
  rmSync(folder, { recursive: true });
  return ((long - short) * 1e6) / SWEEP_POINTS;
}

/** The same network on the pieces it was found on, as resistors and sources: the easiest that ngspice can have it. */
function straightParts(network: Network): string[] {
  const { resistors, conductors, stages } = network.parts();
  const found = network.piecesFound();
  const n = (node: number) => (node === 0 ? '0' : `n${node}`);
  return [
    ...resistors.map(({ a, b, ohms }, i) => `R${i} ${n(a)} ${n(b)} ${ohms}`),
    ...conductors.flatMap(({ a, b, slopesSiemens, interceptsAmps }, i) => {
      const piece = found.conductors[i]!;
      return [
        `RC${i} ${n(a)} ${n(b)} ${1 / slopesSiemens[piece]!}`,
        `IC${i} ${n(a)} ${n(b)} ${interceptsAmps[piece]}`,
      ];
    }),
    ...stages.flatMap(({ output, supply, common, share, outputOhms }, i) => [
      `ES${i} open${i} ${n(common)} ${n(supply)} ${n(common)} ${share}`,
      `RS${i} open${i} ${n(output)} ${outputOhms}`,
    ]),
  ];
}
