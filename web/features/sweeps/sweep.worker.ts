import { list, say, verbatim, type Message } from '@lettura/core/measure/message';
import { readRecordingFile } from '@lettura/contract';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import {
  decodeCandump,
  NumberScanner,
  RECORDING_EXPORTS,
  standingValues,
} from '@lettura/core/recording/file';
import {
  against,
  analyseSweep,
  atRulers,
  calibrationIn,
  envelopeInTime,
  MinMaxPyramid,
  plateaus,
  stepsIn,
  stretchOf,
  type Recording,
} from '@lettura/core/recording/sweep';
import { isOnlyChanges, lineEdges, serialMessages, telegramsIn } from '@lettura/core/recording/telegram';
import { openFile } from './openFile.ts';
import { unpacked } from './packRecording.ts';
import { fetchRecording, sendRecording } from './sendRecording.ts';
import type { Held, Question, Reply, SweepQuestions } from './sweepMessages.ts';

// One recording at a time: reading, analysing and decimating it would each hold up the thread that draws.
let file: Blob | undefined;
let recording: Recording | undefined;
let pyramids: MinMaxPyramid[] = [];
/** Of each channel, whether it is a logic capture that writes down the changes alone. */
let ofChanges: boolean[] = [];

const PROGRESS_BYTES = 4 * 1024 * 1024;

function hold(held: Recording, remarks: Message[] = []): Held {
  recording = held;
  pyramids = held.channels.map(({ values }) => new MinMaxPyramid(values));
  ofChanges = held.channels.map(({ values }) => isOnlyChanges(values) && new Set(values).size === 2);
  return {
    samples: held.seconds.length,
    durationSeconds: held.seconds.at(-1) ?? 0,
    channels: held.channels.map(({ name, unit }) => ({ name, unit })),
    remarks,
  };
}

async function read({
  layout,
  samplesPerSecond,
}: SweepQuestions['read']['ask']): Promise<Result<Held, string>> {
  if (!file) return nothingHeld();
  if (!layout) {
    const text = await file.text();
    return /^\s*\{/u.test(text) ? readJson(text) : readLog(text);
  }
  const scanner = new NumberScanner(layout, samplesPerSecond, file.size);
  const reader = file.stream().getReader();
  let [done, told] = [0, 0];
  for (;;) {
    const piece = await reader.read();
    if (piece.done) break;
    scanner.feed(piece.value);
    done += piece.value.length;
    if (done - told > PROGRESS_BYTES) {
      told = done;
      post({ progress: done / file.size });
    }
  }
  const {
    recording: scanned,
    rows,
    missingCells,
    extraCells,
    badCells,
    badExamples,
    backwardRows,
    startedAtMs,
    zoned,
  } = scanner.finish();
  if (rows < 2)
    return fail('no-rows', say('app.fewer-than-two-rows-numbers'), say('app.check-columns-their-time'));
  const where = list(
    badExamples.map(({ row, column, text }) => say('app.row-column', { row, column, text: verbatim(text) })),
    'semicolons',
  );
  const standing = missingCells > 0 ? standingValues(scanned) : undefined;
  const held = hold(standing ?? scanned, [
    ...(standing ? [say('app.one-value-a-row')] : []),
    ...(missingCells > 0 && !standing ? [say('app.empty-cells', { cells: missingCells })] : []),
    ...(badCells > 0 ? [say('app.cells-no-numbers', { cells: badCells, where })] : []),
    ...(extraCells > 0 ? [say('app.cells-beyond', { cells: extraCells })] : []),
    ...(backwardRows > 0 ? [say('app.rows-without-moment', { rows: backwardRows })] : []),
  ]);
  // A clock without its zone is the clock on the wall.
  const wallMs = startedAtMs === undefined || zoned ? 0 : new Date(startedAtMs).getTimezoneOffset() * 60_000;
  return ok(startedAtMs === undefined ? held : { ...held, startedAtMs: startedAtMs + wallMs });
}

function readJson(text: string): Result<Held, string> {
  const read = readRecordingFile(text);
  return read.ok ? ok({ ...hold(read.value.recording), heading: read.value.heading }) : read;
}

function readLog(text: string): Result<Held, string> {
  const { recording: decoded, frames, oddLines } = decodeCandump(text);
  if (decoded.channels.length === 0)
    return fail(
      'no-live-data',
      say('app.none-frames-answer-live-data', { frames }),
      say('app.log-while-tool-asks-standard'),
    );
  return ok(hold(decoded, oddLines.length > 0 ? [say('app.lines-no-frames', { line: oddLines[0]! })] : []));
}

const nothingHeld = () =>
  fail('no-recording', say('app.there-no-recording-hand'), say('app.choose-file-again'));

/** The same numbers, named and measured as was said. */
const described = (held: Recording, channels: readonly { name: string; unit: string }[]): Recording => ({
  ...held,
  channels: held.channels.map((channel, i) => ({ ...channel, ...pick(channels[i]) })),
});
const pick = (said: { name: string; unit: string } | undefined) =>
  said && { name: said.name, unit: said.unit };

const NOTHING = new MinMaxPyramid(new Float64Array(0));
const pyramidOf = (channel: number): MinMaxPyramid => pyramids[channel] ?? NOTHING;

async function answer(question: Question): Promise<Result<unknown, string>> {
  switch (question.name) {
    case 'open':
      file = question.ask.file;
      return openFile(file, { headerRows: question.ask.headerRows }).then((opened) => {
        if (opened.ok && opened.value.kind === 'table') file = opened.value.joined ?? file;
        return opened;
      });
    case 'read':
      return read(question.ask);
    case 'fetch': {
      const fetched = await fetchRecording(question.ask.id);
      if (!fetched.ok) return fetched;
      const { data, ...info } = fetched.value;
      hold(await unpacked(data, info.samples, info.channels));
      return ok(info);
    }
    case 'take':
      return ok(hold(question.ask.recording));
    case 'analyse': {
      if (!recording) return nothingHeld();
      const { channels = recording.channels, context } = question.ask;
      return ok(analyseSweep(described(recording, channels), context));
    }
    case 'envelope': {
      if (!recording) return nothingHeld();
      const { seconds } = recording;
      const { channels, ...view } = question.ask;
      return ok(
        channels.map((channel) =>
          envelopeInTime(seconds, pyramidOf(channel), view, ofChanges[channel] ?? false),
        ),
      );
    }
    case 'rulers': {
      if (!recording) return nothingHeld();
      const { seconds, channels } = recording;
      const { moments } = question.ask;
      return ok(
        channels.map(({ values }, i) => atRulers(seconds, values, pyramidOf(i), moments, ofChanges[i])),
      );
    }
    case 'cut': {
      if (!recording) return nothingHeld();
      const { fromSeconds, toSeconds } = question.ask;
      const part = stretchOf(recording, fromSeconds, toSeconds);
      return part.seconds.length < 2
        ? fail('no-rows', say('app.stretch-too-short'), say('app.take-longer-stretch'))
        : ok(hold(part));
    }
    case 'against': {
      const { along, up, columns } = question.ask;
      const [x, y] = [recording?.channels[along]?.values, recording?.channels[up]?.values];
      return x && y ? ok(against(x, y, columns)) : nothingHeld();
    }
    case 'telegrams': {
      const values = recording?.channels[question.ask.channel]?.values;
      if (!recording || !values) return nothingHeld();
      const line = lineEdges(recording.seconds, values);
      const telegrams = line.found === 'edges' ? telegramsIn(line.falling) : undefined;
      return ok(telegrams && { telegrams, serial: serialMessages(telegrams) });
    }
    case 'calibration':
      return recording ? ok(calibrationIn(recording, question.ask.context)) : nothingHeld();
    case 'steps':
      return recording ? ok(stepsIn(recording, question.ask.context)) : nothingHeld();
    case 'rests': {
      const values = recording?.channels[question.ask.channel]?.values;
      return recording && values ? ok(plateaus(recording.seconds, values)) : nothingHeld();
    }
    case 'send': {
      if (!recording) return nothingHeld();
      const sent = await sendRecording(question.ask.info, recording);
      // Kept: whoever looks at it next holds it anew.
      if (sent.ok) [recording, pyramids] = [undefined, []];
      return sent;
    }
    case 'numbers':
      return recording ? ok(recording) : nothingHeld();
    case 'export': {
      if (!recording) return nothingHeld();
      const { as, heading, view } = question.ask;
      const { type, pieces } = RECORDING_EXPORTS[as];
      const given = view ? stretchOf(recording, view.fromSeconds, view.toSeconds) : recording;
      return ok(new Blob([...pieces(given, heading)], { type }));
    }
  }
}

const post = (reply: Reply) => postMessage(reply);

addEventListener('message', ({ data: question }: MessageEvent<Question>) => {
  const { number } = question;
  answer(question).then(
    (result) =>
      post(
        result.ok
          ? { number, ok: true, answer: result.value }
          : { number, ok: false, problem: result.problem },
      ),
    (error: unknown) =>
      post({
        number,
        ok: false,
        problem: {
          code: 'reading-failed',
          message: say('app.recording-could-not-read', {
            reason: verbatim(error instanceof Error ? error.message : String(error)),
          }),
          next: say('app.try-shorter-one'),
        },
      }),
  );
});
