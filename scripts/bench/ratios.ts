import { circuitRatios } from './circuit.ts';
import { conversionRatio, tableConversionRatio } from './conversion.ts';
import { workedCases } from './diagnosis.ts';
import { diagnosisFigures, figuresInWords } from './diagnosisFigures.ts';
import { feedFigures } from './feed.ts';
import { fitRatios } from './fitting.ts';
import { importInBrowser, liveOnScreen } from './inBrowser.ts';
import { importRatio } from './importing.ts';
import { recordingRatio } from './recording.ts';
import { eachStranger } from './strangers.ts';
import { telegramRatio } from './telegrams.ts';
import { typingRatio } from './typing.ts';
import { weighingAlone } from './weighingAlone.ts';
import { weighingOnScreen } from './weighingOnScreen.ts';

const report = (
  what: string,
  { value, unit, ratio }: { value: number; unit: string; ratio: number },
  against: string,
) => console.log(`${what}: ${value.toPrecision(3)} ${unit}, ${ratio.toFixed(2)} × ${against}`);

report('Batch conversion of 10,000,000 samples', conversionRatio(), 'the time of a bare loop');
report('Table conversion of 10,000,000 samples', tableConversionRatio(), 'the time of a bare loop');
report('Frames from 1,000,000 edges of a digital line', telegramRatio(), 'a bare loop over the pulses');
for (const { form, milliseconds, ratio } of fitRatios()) {
  report(
    `Fit of 1,000 points, ${form}`,
    { value: milliseconds, unit: 'ms', ratio },
    'one bare pass that adds up the sums of a line',
  );
}
const circuit = circuitRatios();
report(
  'Circuit solved with one part changed',
  { value: circuit.microseconds, unit: 'µs', ratio: circuit.againstBare },
  'a dense elimination of its size, written out',
);
console.log(
  circuit.againstSpice === undefined
    ? 'Circuit against ngspice: not installed here (Debian package ngspice)'
    : `Circuit against a point of an ngspice sweep: ${circuit.againstSpice.toFixed(2)} × its time`,
);
const imported = importRatio();
report(
  `Import, conversion and analysis of 1,000,000 rows of 4 columns (of it reading ${imported.scanSeconds.toPrecision(3)} s; memory ${imported.memoryRatio.toFixed(1)} × the numbers)`,
  imported,
  'reading the bytes and finding the newlines',
);
console.log(
  imported.againstPandas === undefined
    ? 'The same against pandas: not installed here (Debian package python3-pandas)'
    : `The same against pandas: ${imported.againstPandas.toFixed(2)} × its time`,
);
const databaseUrl = process.env.DATABASE_URL ?? '';
const inPage = await importInBrowser(databaseUrl, 1_000_000);
console.log(
  inPage
    ? `Import of 1,000,000 rows of 5 columns in the browser, read, analysed, kept and drawn: ${inPage.seconds.toFixed(1)} s; the page held up for ${inPage.longestTaskMs > 0 ? `${inPage.longestTaskMs.toFixed(0)} ms` : 'less than 50 ms'} at most; memory ${inPage.memoryRatio.toFixed(1)} × the numbers, ${((inPage.memoryRatio * 40e6) / inPage.fileBytes).toFixed(1)} × the file`
    : 'Import in the browser: no Chromium here',
);
const minutes = Number(process.env.LIVE_MINUTES ?? 1);
const screen = await liveOnScreen(databaseUrl, minutes);
console.log(
  screen
    ? `Live on the screen over ${minutes} min: ${screen.samples} samples of 4 channels, ${screen.lost} lost, 95 % drawn within ${screen.p95Ms} ms, ${screen.framesASecond.toFixed(0)} frames a second, heap ${(screen.heapBytes[0] / 1e6).toFixed(1)} then ${(screen.heapBytes[1] / 1e6).toFixed(1)} MB`
    : 'Live on the screen: no Chromium here',
);
const feed = await feedFigures();
console.log(
  `Live, 4 channels: ${feed.aSecond.toFixed(0)} of 200 samples a second arrive, ${feed.lost} lost, 95 % within ${feed.p95Ms} ms of the instrument’s answer`,
);
for (const [order, words] of [
  ['chosen', 'chosen by the weighing'],
  ['textbook', 'in a fixed order'],
] as const)
  console.log(
    figuresInWords(words, diagnosisFigures(workedCases(Number(process.env.WEIGH_CASES ?? 2), order))),
  );
const strangers = [...eachStranger(Number(process.env.STRANGERS ?? 11))].filter(({ outside }) => !outside);
console.log(figuresInWords('chosen, on strangers', diagnosisFigures(strangers)));
const alone = weighingAlone();
console.log(
  `Weighing alone, pedal with six wires, medians over ${alone.readings} readings: ranked after ${alone.rankedMs.toFixed(0)} ms, a first suggestion after ${alone.suggestedMs.toFixed(0)} ms, reasons after ${alone.reasonsMs.toFixed(0)} ms`,
);
const weighing = await weighingOnScreen(databaseUrl);
console.log(
  weighing
    ? `Weighing on the screen, pedal with six wires, medians over ${weighing.readings} readings: ranked after ${weighing.rankedMs.toFixed(0)} ms, a first suggestion after ${weighing.suggestedMs.toFixed(0)} ms, the best next reading after ${weighing.nextMs.toFixed(0)} ms, reasons after ${weighing.reasonsMs.toFixed(0)} ms; the first of all after ${weighing.firstMs.toFixed(0)} ms; the page held up for ${weighing.longestTaskMs > 0 ? `${weighing.longestTaskMs.toFixed(0)} ms` : 'less than 50 ms'} at most`
    : 'Weighing on the screen: no Chromium here',
);
const typing = await typingRatio(databaseUrl);
report(
  'Searching 2,000 sensors, slowest letter',
  { value: typing.milliseconds, unit: 'ms', ratio: typing.ratio },
  'the same with the shipped sensors alone',
);
report(
  'Readings recorded over HTTP, 8 connections',
  await recordingRatio(databaseUrl),
  'the rate of the same INSERT alone',
);
