import type { RecordingInfo } from '@lettura/contract';
import { afterEach, expect, test, vi } from 'vitest';
import { unpacked } from './packRecording.ts';
import { fetchRecording, sendRecording } from './sendRecording.ts';
import { inWords } from '@lettura/words';

const ID = '01935a00-0000-7000-8000-000000000101';
const JOB = '01935a00-0000-7000-8000-000000000102';
const SAMPLES = 20_000;
const recording = {
  seconds: Float64Array.from({ length: SAMPLES }, (_, i) => i / 200),
  channels: [
    { name: 'Track 1', unit: 'V', values: Float64Array.from({ length: SAMPLES }, (_, i) => Math.sin(i)) },
  ],
};
const info: RecordingInfo = {
  id: ID,
  jobId: JOB,
  name: 'Slow travel',
  takenAt: '2026-11-25T10:00:00.000Z',
  source: 'live',
  channels: [{ name: 'Track 1', unit: 'V', use: 'signal' }],
  samples: SAMPLES,
  durationSeconds: 99.995,
  findings: [],
  marks: [],
  note: 'a “quoted” note',
};
const answering = (status: number, body: unknown) => {
  const asked = vi.fn((_path: string, _request?: { body: Blob }) =>
    Promise.resolve(new Response(JSON.stringify(body), { status })),
  );
  vi.stubGlobal('fetch', asked);
  return asked;
};
afterEach(() => void vi.unstubAllGlobals());

test('what is sent is one JSON text with numbers that come back exactly', async () => {
  const asked = answering(201, info);
  expect(await sendRecording(info, recording)).toEqual({ ok: true, value: info });
  const [path, request] = asked.mock.calls[0]!;
  expect(path).toBe(`/api/jobs/${JOB}/recordings`);
  const { data, ...rest } = JSON.parse(await request!.body.text()) as RecordingInfo & { data: string };
  expect(rest).toEqual(info);
  expect(await unpacked(data, SAMPLES, recording.channels)).toEqual(recording);
});

test('a refusal is told in the words of the server, and a server that is away as that', async () => {
  const problem = {
    type: 'urn:lettura:problem:damaged-recording',
    title: 'Damaged',
    status: 422,
    detail: 'The numbers are not what the header says.',
    next: 'Import the file again.',
  };
  answering(422, problem);
  expect(inWords(await sendRecording(info, recording))).toMatchObject({
    ok: false,
    problem: { code: 'damaged-recording', next: 'Import the file again.' },
  });
  vi.stubGlobal('fetch', () => Promise.reject(new TypeError('no network')));
  expect(await fetchRecording(ID)).toMatchObject({ ok: false, problem: { code: 'server-away' } });
});
