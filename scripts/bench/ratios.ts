import { conversionRatio, tableConversionRatio } from './conversion.ts';
import { recordingRatio } from './recording.ts';

const report = (
  what: string,
  { value, unit, ratio }: { value: number; unit: string; ratio: number },
  against: string,
) => console.log(`${what}: ${value.toPrecision(3)} ${unit}, ${ratio.toFixed(2)} × ${against}`);

report('Batch conversion of 10,000,000 samples', conversionRatio(), 'the time of a bare loop');
report('Table conversion of 10,000,000 samples', tableConversionRatio(), 'the time of a bare loop');
report(
  'Readings recorded over HTTP, 8 connections',
  await recordingRatio(process.env.DATABASE_URL ?? ''),
  'the rate of the same INSERT alone',
);
