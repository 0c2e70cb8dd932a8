import { LIVE_ITEM_IDS } from '@lettura/core/machine/live';
import { inWords } from '@lettura/words';
import { pino } from 'pino';
import { afterEach, expect, test, vi } from 'vitest';
import { feedPlace } from '../feeds/protocols.ts';
import { serialLine, type SerialLine } from './serialLine.ts';
import { simulatedVehicle } from './simulatedVehicle.ts';
import { VehicleFeed } from './vehicleFeed.ts';

const log = pino({ level: 'silent' });
const open: (() => unknown)[] = [];
afterEach(async () => {
  for (const close of open.splice(0).reverse()) await close();
});
const eventually = (holds: () => void) => vi.waitFor(holds, { timeout: 30_000 });

async function vehicleOnALine(): Promise<SerialLine> {
  const vehicle = await simulatedVehicle();
  open.push(() => vehicle.close());
  const line = await serialLine(vehicle.port);
  open.push(line.close);
  return line;
}

const followedOn = (device: string): VehicleFeed => {
  const place = feedPlace(`slcan://${device}`, 'live-data');
  if (typeof place !== 'object' || !('device' in place)) throw new Error(`${device} is no device.`);
  const feed = new VehicleFeed({
    ...place,
    waits: { answerMs: 400, longMs: 5000, pieceMs: 600 },
    firstWaitMs: 20,
    longestWaitMs: 50,
    log,
  });
  open.push(() => feed.stop());
  feed.buffer.attention.begin();
  return feed;
};

test('a vehicle on a serial line is read like one behind a socket, and its line may be pulled', async () => {
  const { device, unplug } = await vehicleOnALine();
  const feed = followedOn(device);
  await eventually(() => expect(feed.buffer.status.state).toBe('live'));
  expect(feed.info.address).toBe(device);
  await eventually(() =>
    expect(feed.buffer.after(feed.buffer.newest - 1).samples[0]?.values[LIVE_ITEM_IDS.indexOf(0x33)]).toBe(
      101,
    ),
  );
  const [engine] = (await feed.report()).units;
  expect(engine).toMatchObject({ vehicleNumber: 'SIMULATED00000001', stored: ['P0107'] });
  await unplug();
  await eventually(() => expect(feed.buffer.status.state).toBe('lost'));
});

test('a device that is not there, or is no line, is told by its name', async () => {
  const feed = followedOn('/dev/no-such-line');
  await eventually(() => expect(feed.buffer.status.state).toBe('lost'));
  const { status } = feed.buffer;
  expect(status.state === 'lost' && inWords(status.message)).toContain('there is no /dev/no-such-line');
});
