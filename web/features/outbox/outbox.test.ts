import { newReading, type NewReading } from '@lettura/contract';
import { combineReducers, configureStore } from '@reduxjs/toolkit';
import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { api } from '../../app/api.ts';
import 'fake-indexeddb/auto';
import { fakeStorage } from '../../testStorage.ts';
import {
  openOutbox,
  outboxKeeper,
  outboxSender,
  outboxSlice,
  outboxStorage,
  readingQueued,
  selectOutbox,
  sendingAsked,
} from './index.ts';
import { readingDiscarded, unreadableDiscarded } from './outboxSlice.ts';
import { inWords } from '@lettura/words';

const JOB = '01935a00-0000-7000-8000-000000000999';
const reading = (n: number): NewReading =>
  newReading.parse({
    id: `01935a00-0000-7000-8000-${String(n).padStart(12, '0')}`,
    jobId: JOB,
    kind: 'wire',
    takenAt: '2026-11-24T08:00:00.000Z',
    enteredText: `${n}`,
    state: { engine: 'koeo', plug: 'connected' },
    lane: 'signal',
    place: 'plug',
    volts: n,
  });

function testStore() {
  return configureStore({
    reducer: combineReducers({ [api.reducerPath]: api.reducer, outbox: outboxSlice.reducer }),
    middleware: (getDefault) =>
      getDefault().prepend(outboxSender.middleware, outboxKeeper.middleware).concat(api.middleware),
  });
}
const stored = async () => (await outboxStorage.load()).entries.map(({ reading }) => reading.id.at(-1));

/** What the server answers, request by request; `away` is a connection that fails. */
let answers: (Response | 'away')[] = [];
let received: number[] = [];
const json = (status: number, body: unknown) =>
  new Response(JSON.stringify(body), { status, headers: { 'content-type': 'application/json' } });
const problem = (status: number, code: string) =>
  json(status, { type: `urn:lettura:problem:${code}`, title: code, status, detail: code, next: 'Do this.' });

beforeEach(() => {
  // The browser's database runs on immediates: those go on as they are.
  vi.useFakeTimers({ toFake: ['setTimeout', 'clearTimeout', 'Date'] });
  vi.stubGlobal('localStorage', fakeStorage());
  // Node's own Request wants a whole address; a browser completes it from the page's.
  vi.stubGlobal(
    'Request',
    class extends Request {
      constructor(url: string | URL | Request, init?: RequestInit) {
        super(typeof url === 'string' ? new URL(url, 'http://127.0.0.1') : url, init);
      }
    },
  );
  answers = [];
  received = [];
  vi.stubGlobal('fetch', async (request: Request) => {
    const sent = (await request.json()) as { volts: number };
    const answer = answers.shift();
    if (answer === 'away') throw new TypeError('Failed to fetch');
    received.push(sent.volts);
    return answer ?? json(201, sent);
  });
});
afterEach(async () => {
  vi.useRealTimers();
  for (const { reading } of (await outboxStorage.load()).entries) await outboxStorage.remove(reading.id);
  vi.unstubAllGlobals();
});
const immediates = async (count: number) => {
  for (let i = 0; i < count; i++) await new Promise((resolve) => setImmediate(resolve));
};
const settle = async (ms = 50) => {
  await immediates(40);
  await vi.advanceTimersByTimeAsync(ms);
  await immediates(40);
};
const waiting = (store: ReturnType<typeof testStore>) =>
  selectOutbox(store.getState()).entries.map((one) => one.reading.id.at(-1));

test('a reading goes out at once and leaves the outbox and the storage', async () => {
  const store = testStore();
  store.dispatch(readingQueued(reading(1)));
  await settle();
  expect(received).toEqual([1]);
  expect(waiting(store)).toEqual([]);
  expect(await stored()).toEqual([]);
});

test('while the server is away it is tried again by itself, ever less often, in the order of entry', async () => {
  answers = ['away', 'away'];
  const store = testStore();
  store.dispatch(readingQueued(reading(1)));
  await settle();
  expect(selectOutbox(store.getState()).waitingBecause?.code).toBe('server-away');
  store.dispatch(readingQueued(reading(2)));
  await settle();
  expect(received).toEqual([]);
  await settle(15_000);
  expect(received).toEqual([1, 2]);
  expect(selectOutbox(store.getState())).toEqual({ entries: [], unreadable: [] });
});

test('a database that is away is waited for; a refusal is kept for a person and does not hold up the rest', async () => {
  answers = [problem(503, 'database-away'), problem(410, 'job-deleted')];
  const store = testStore();
  store.dispatch(readingQueued(reading(1)));
  await settle(5000);
  store.dispatch(readingQueued(reading(2)));
  await settle();
  const [first] = selectOutbox(store.getState()).entries;
  expect(inWords(first?.refused)).toMatchObject({ code: 'job-deleted', next: 'Do this.' });
  expect(received).toEqual([1, 1, 2]);
  expect(waiting(store)).toEqual(['1']);
  store.dispatch(sendingAsked());
  await settle();
  expect(waiting(store)).toEqual([]);
});

test('what waits survives the page, and another tab’s waiting readings are left alone', async () => {
  answers = Array<'away'>(20).fill('away');
  const first = testStore();
  first.dispatch(readingQueued(reading(1)));
  const second = testStore();
  second.dispatch(readingQueued(reading(2)));
  await settle();
  expect(await stored()).toEqual(['1', '2']);
  second.dispatch(readingDiscarded(reading(2).id));
  await settle();
  const third = testStore();
  await openOutbox(third.dispatch);
  expect(waiting(third)).toEqual(['1']);
});

test('what an older version left and nobody can read any more is shown, and let go of only by hand', async () => {
  localStorage.setItem('lettura.outbox.a', '{"id":"nonsense","enteredText":"sig plug 2.31"}');
  localStorage.setItem('lettura.outbox.b', 'not json');
  const store = testStore();
  await openOutbox(store.dispatch);
  const { entries, unreadable } = selectOutbox(store.getState());
  expect(entries).toEqual([]);
  expect(unreadable.map(({ text }) => text).sort()).toEqual(['not json', 'sig plug 2.31']);
  for (const { key } of unreadable) store.dispatch(unreadableDiscarded(key));
  await settle();
  expect((await outboxStorage.load()).unreadable).toEqual([]);
});

test('a storage that is full says so at the reading, and the reading is still sent', async () => {
  const put = vi.spyOn(IDBObjectStore.prototype, 'put').mockImplementation(() => {
    throw new DOMException('full', 'QuotaExceededError');
  });
  answers = Array<'away'>(20).fill('away');
  const store = testStore();
  store.dispatch(readingQueued(reading(1)));
  await settle();
  expect(selectOutbox(store.getState()).entries[0]).toMatchObject({ notKept: true });
  put.mockRestore();
  answers = [];
  await settle(15_000);
  expect(received).toEqual([1]);
  expect(waiting(store)).toEqual([]);
});

test('live data that waits from the first version is sent on in the words of this one', async () => {
  const old = {
    id: '01935a00-0000-7000-8000-000000000077',
    jobId: JOB,
    kind: 'scan',
    takenAt: '2026-11-24T08:00:00.000Z',
    enteredText: 'scan 47 kPa',
    state: { engine: 'idle', plug: 'connected' },
    pressureKpaAbs: 47,
  };
  localStorage.setItem(`lettura.outbox.${old.id}`, JSON.stringify(old));
  expect((await outboxStorage.load()).entries).toMatchObject([
    { reading: { kind: 'scan', measures: 'absolute-pressure', value: 47 } },
  ]);
});
