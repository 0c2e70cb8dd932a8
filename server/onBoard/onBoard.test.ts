import { pino } from 'pino';
import { LIVE_ITEM_IDS } from '@lettura/core/machine/live';
import { say } from '@lettura/core/measure/message';
import { vehicleReport } from '@lettura/contract';
import { BRILL_P4, practiceMachine } from '@lettura/bench';
import { afterEach, expect, test, vi } from 'vitest';
import { testServer } from '../testServer.ts';
import { simulatedVehicle, type Manner, type SimulatedVehicle } from './simulatedVehicle.ts';
import { VehicleFeed } from './vehicleFeed.ts';

const log = pino({ level: 'silent' });
const open: (() => Promise<unknown>)[] = [];
afterEach(async () => {
  for (const close of open.splice(0).reverse()) await close();
});
/** However long a busy machine takes: what never happens fails all the same. */
const eventually = (holds: () => void) => vi.waitFor(holds, { timeout: 30_000 });
/** Generous where it has to be answered in time, short where nothing is waited for. */
const WAITS = { answerMs: 400, longMs: 5000, pieceMs: 600 };

async function followed(
  manner: Manner = 'usual',
  vehicle?: SimulatedVehicle,
  isLookedAt = true,
): Promise<{ vehicle: SimulatedVehicle; feed: VehicleFeed }> {
  const one = vehicle ?? (await simulatedVehicle());
  open.push(() => one.close());
  one.behave(manner);
  const feed = new VehicleFeed({
    host: '127.0.0.1',
    port: one.port,
    simulated: true,
    waits: WAITS,
    firstWaitMs: 20,
    longestWaitMs: 50,
    log,
  });
  open.push(() => feed.stop());
  if (isLookedAt) feed.buffer.attention.begin();
  return { vehicle: one, feed };
}
const live = (feed: VehicleFeed) => eventually(() => expect(feed.buffer.status.state).toBe('live'));
const valueOf = (feed: VehicleFeed, item: number) =>
  feed.buffer.after(feed.buffer.newest - 1).samples[0]?.values[LIVE_ITEM_IDS.indexOf(item)];

test.each(['usual', 'wide', 'slow'] as const)(
  'a vehicle that answers in the %s way is found, its items asked for, and its codes read',
  async (manner) => {
    const { feed } = await followed(manner);
    await live(feed);
    await eventually(() => {
      expect(valueOf(feed, 0x33)).toBe(101);
      expect(valueOf(feed, 0x42)).toBeCloseTo(13.9, 3);
      expect(valueOf(feed, 0x04)).toBeCloseTo(24, 0);
      // It has no such item.
      expect(valueOf(feed, 0x23)).toBeNull();
    });
    const report = await feed.report();
    expect(vehicleReport.parse(report)).toEqual(report);
    const [engine, gearbox] = report.units;
    expect(report.units).toHaveLength(2);
    expect(engine).toMatchObject({
      unit: manner === 'wide' ? '10' : '7E8',
      vehicleNumber: 'SIMULATED00000001',
      stored: ['P0107'],
      pending: ['P0107'],
      permanent: ['P0107'],
      readiness: { lampOn: true, storedCodes: 1, ignition: 'spark', unfinished: ['catalyst', 'evaporative'] },
      freezeFrame: { code: 'P0107' },
    });
    expect(engine!.freezeFrame!.values).toContainEqual({
      item: 0x42,
      value: expect.closeTo(13.9, 3) as number,
    });
    // It refuses what it does not have: that is left out, and is not “none”.
    expect(gearbox).toMatchObject({ stored: [], pending: [] });
    expect(gearbox).not.toHaveProperty('permanent');
    expect(gearbox).not.toHaveProperty('freezeFrame');
  },
);

test('a fault of the machine sets the codes, and a sound one has none', async () => {
  const { feed } = await followed('usual', await simulatedVehicle(practiceMachine(BRILL_P4, 'B', 3)));
  await live(feed);
  const [engine] = (await feed.report()).units;
  expect(engine).toMatchObject({ stored: [], pending: [], readiness: { lampOn: false } });
  expect(engine).not.toHaveProperty('freezeFrame');
});

test('clearing loses readiness and freeze frame, and a fault that is there sets its code again, pending first', async () => {
  const { feed } = await followed();
  await live(feed);
  expect(await feed.clear()).toMatchObject({ cleared: ['7E8', '7E9'], refused: [] });
  const [after] = (await feed.report()).units;
  expect(after).toMatchObject({ stored: [], permanent: ['P0107'], readiness: { lampOn: false } });
  expect(after!.readiness!.unfinished).toContain('components');
  expect(after).not.toHaveProperty('freezeFrame');
  await vi.waitFor(
    async () => {
      const [again] = (await feed.report()).units;
      expect(again).toMatchObject({ stored: ['P0107'], pending: ['P0107'] });
    },
    { timeout: 30_000, interval: 300 },
  );
});

test('who will not clear says why, unit by unit', async () => {
  const { feed } = await followed('will-not-clear');
  await live(feed);
  expect(await feed.clear()).toMatchObject({
    cleared: ['7E9'],
    refused: [{ unit: '7E8', why: 'not-now' }],
  });
});

test('an answer with a piece missing is left out, and the rest is read', async () => {
  const { feed } = await followed('drops-pieces');
  await live(feed);
  const [engine] = (await feed.report()).units;
  expect(engine).toMatchObject({ stored: ['P0107'] });
  expect(engine).not.toHaveProperty('vehicleNumber');
});

test.each([
  ['silent', 'feed.bus-silent'],
  ['no-bus', 'feed.bus-errors'],
] as const)('a vehicle that is %s is told so, and found once it answers', async (manner, code) => {
  const { vehicle, feed } = await followed(manner);
  await eventually(() => expect(feed.buffer.status).toMatchObject({ state: 'lost', message: say(code) }));
  await expect(feed.report()).rejects.toThrow(code);
  vehicle.behave('usual');
  await live(feed);
  await eventually(() => expect(valueOf(feed, 0x33)).toBe(101));
  // Its key is turned: what it said last is not what it says now.
  const said = vi.spyOn(feed.buffer, 'setStatus');
  vehicle.behave('silent');
  // Whoever asks before live data has noticed is not told of units that have nothing to say.
  await expect(feed.report()).rejects.toThrow('feed.bus-silent');
  await eventually(() =>
    expect(said).toHaveBeenCalledWith({ state: 'lost', message: say('feed.bus-silent') }),
  );
});

test('a vehicle that is turned off while it is asked is not told as one that has nothing to say', async () => {
  const { vehicle, feed } = await followed();
  await live(feed);
  vehicle.behave('leaves');
  await expect(feed.report()).rejects.toThrow('feed.bus-silent');
});

test('a bus that nobody looks at is left alone; whoever reads codes is looked up for, and it is quiet again', async () => {
  const { vehicle, feed } = await followed('usual', undefined, false);
  const quiet = async () => {
    const before = vehicle.heard();
    await new Promise((resolve) => setTimeout(resolve, 3 * WAITS.answerMs));
    return vehicle.heard() - before;
  };
  expect(await quiet()).toBe(0);
  expect((await feed.report()).units).toHaveLength(2);
  expect(vehicle.heard()).toBeGreaterThan(0);
  // What was on its way may still be sent.
  await quiet();
  expect(await quiet()).toBe(0);
  const lookAway = feed.buffer.attention.begin();
  await eventually(() => expect(valueOf(feed, 0x33)).toBe(101));
  lookAway();
  lookAway();
  await quiet();
  expect(await quiet()).toBe(0);
  vehicle.behave('silent');
  await expect(feed.report()).rejects.toThrow('feed.bus-silent');
});

test('a connection that is cut is made again', async () => {
  const { vehicle, feed } = await followed();
  await live(feed);
  const said = vi.spyOn(feed.buffer, 'setStatus');
  vehicle.cut();
  await eventually(() =>
    expect(said).toHaveBeenCalledWith({ state: 'lost', message: say('feed.connection-closed') }),
  );
  await live(feed);
  expect((await feed.report()).units).toHaveLength(2);
});

test('a server without a vehicle says what to set up, and nothing is cleared unasked', async () => {
  const { base, close } = await testServer();
  open.push(close);
  const post = (path: string, body?: object) =>
    fetch(base + path, {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      ...(body ? { body: JSON.stringify(body) } : {}),
    });
  const read = await post('/on-board/report');
  expect(read.status).toBe(503);
  expect(await read.json()).toMatchObject({ next: expect.stringContaining('LETTURA_LIVE_DATA') as string });
  expect((await post('/on-board/clear', {})).status).toBe(400);
  expect((await post('/on-board/clear', { consequencesRead: true })).status).toBe(503);
});
