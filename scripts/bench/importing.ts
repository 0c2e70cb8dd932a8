import { spawnSync } from 'node:child_process';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { analyseSweep } from '@lettura/core/recording/sweep';
import { MPX4250A, valuesFromSignals } from '@lettura/core/measure/transfer';
import { CONTEXT, fileOf, pieces, ROWS, read } from './importedFile.ts';

/** Ours and theirs by turns: a machine that gets slower meanwhile slows both. */
const TURNS = 3;
/** Of each the fastest counts: enough that both run as fast as they come to. */
const ROUNDS = 8;

/** Import, conversion and analysis of a million rows of four columns against reading the bytes and finding the newlines. */
export function importRatio(): {
  value: number;
  unit: string;
  ratio: number;
  scanSeconds: number;
  /** Against pandas doing the same; undefined where it is not installed (Debian package python3-pandas). */
  againstPandas: number | undefined;
  /** At most, over the numbers themselves, in a process of its own. */
  memoryRatio: number;
} {
  const folder = mkdtempSync(join(tmpdir(), 'lettura-import-'));
  const path = join(folder, 'recording.csv');
  writeFileSync(path, fileOf());
  const [floors, scans, wholes, ratios]: number[][] = [[], [], [], []];
  for (let turn = 0; turn < TURNS; turn++) {
    const { floor, scan, whole } = fastestOf(path);
    floors!.push(floor);
    scans!.push(scan);
    wholes!.push(whole);
    const pandas = pandasSeconds(path);
    if (pandas !== undefined) ratios!.push(whole / 1000 / pandas);
  }
  const memoryRatio = memoryOf(path);
  rmSync(folder, { recursive: true });
  const whole = middle(wholes!)!;
  return {
    value: whole / 1000,
    unit: 's',
    ratio: whole / middle(floors!)!,
    scanSeconds: middle(scans!)! / 1000,
    againstPandas: middle(ratios!),
    memoryRatio,
  };
}

const middle = (numbers: readonly number[]): number | undefined =>
  numbers.toSorted((a, b) => a - b)[numbers.length >> 1];

function fastestOf(path: string): { floor: number; scan: number; whole: number } {
  let [floor, scan, whole] = [Infinity, Infinity, Infinity];
  for (let round = 0; round < ROUNDS; round++) {
    const start = performance.now();
    let lines = 0;
    pieces(path, (bytes) => {
      for (let at = bytes.indexOf(10); at >= 0; at = bytes.indexOf(10, at + 1)) lines++;
    });
    const found = performance.now();
    if (lines !== ROWS + 1) throw new Error('The floor has not found every line.');
    const { recording, rows } = read(path);
    const scanned = performance.now();
    const [signal] = recording.channels;
    valuesFromSignals(signal!.values, 5, MPX4250A, new Float64Array(rows));
    const findings = analyseSweep(recording, CONTEXT);
    const end = performance.now();
    if (rows !== ROWS || findings.filter(({ kind }) => kind === 'dropout').length !== 1)
      throw new Error('The dropout of the file was not found.');
    floor = Math.min(floor, found - start);
    scan = Math.min(scan, scanned - found);
    whole = Math.min(whole, end - found);
  }
  return { floor, scan, whole };
}

function memoryOf(path: string): number {
  const script = fileURLToPath(new URL('importMemory.ts', import.meta.url));
  const { status, stdout, stderr } = spawnSync(process.execPath, ['--import', 'tsx', script, path], {
    encoding: 'utf8',
  });
  if (status !== 0) throw new Error(`The import by itself has failed: ${stderr}`);
  return Number(stdout);
}

function pandasSeconds(path: string): number | undefined {
  const script = fileURLToPath(new URL('withPandas.py', import.meta.url));
  const { status, stdout, stderr, error } = spawnSync('/usr/bin/python3', [script, path, String(ROUNDS)], {
    encoding: 'utf8',
  });
  if (error || stderr.includes('ModuleNotFoundError')) return undefined;
  if (status !== 0) throw new Error(`Pandas has failed: ${stderr}`);
  const [seconds, dropouts] = stdout.trim().split(' ').map(Number);
  if (dropouts !== 1) throw new Error('Pandas has not done the same work.');
  return seconds;
}
