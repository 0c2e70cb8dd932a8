// Import, conversion and analysis of one file in a process of its own: how much more it took at most, over the numbers themselves.
import { readFileSync, writeFileSync } from 'node:fs';
import { analyseSweep } from '@lettura/core/recording/sweep';
import { MPX4250A, valuesFromSignals } from '@lettura/core/measure/transfer';
import { CONTEXT, read } from './importedFile.ts';

const [path = ''] = process.argv.slice(2);
const bytes = (line: 'VmRSS' | 'VmHWM'): number => {
  const [, kilobytes] =
    new RegExp(`${line}:\\s+(\\d+) kB`, 'u').exec(readFileSync('/proc/self/status', 'utf8')) ?? [];
  return Number(kilobytes) * 1024;
};
// The most that was taken counts from here on.
writeFileSync('/proc/self/clear_refs', '5');
const before = bytes('VmRSS');
const { recording, rows } = read(path);
const [signal] = recording.channels;
valuesFromSignals(signal!.values, 5, MPX4250A, new Float64Array(rows));
analyseSweep(recording, CONTEXT);
const numbers = 8 * rows * (recording.channels.length + 1);
console.log(((bytes('VmHWM') - before) / numbers).toFixed(2));
