import { MOST_METERS, type FeedKind } from '@lettura/contract';
import type { Logger } from 'pino';
import type { DevicePlace, SocketPlace } from './addressOf.ts';
import type { Feed } from './feed.ts';
import { LiveDataFeed } from './liveDataFeed.ts';
import { MeterFeed } from './meterFeed.ts';
import { simulatedInstrument } from './simulatedInstrument.ts';
import { simulatedUnit } from './simulatedUnit.ts';
import { simulatedVehicle } from '../onBoard/simulatedVehicle.ts';
import { VehicleFeed } from '../onBoard/vehicleFeed.ts';

export interface FeedOptions extends SocketPlace, Followed {}
/** What is known of a feed, wherever it is. */
interface Followed {
  id: string;
  /** As somebody called it where it was set. */
  name?: string | undefined;
  /** A stand-in that shows invented values. */
  simulated: boolean;
  /** Of a meter, as it numbers them. */
  meterChannels: readonly number[];
  log: Logger;
}

interface ProtocolSpec {
  /** What it is followed as. */
  gives: FeedKind;
  follow: (options: FeedOptions) => Feed;
  /** Speaks the same on loopback, for who has no such instrument. */
  standIn: () => Promise<{ port: number; close: () => Promise<void> }>;
}

/** As fast as a technician's logger goes; a slower instrument is asked as fast as it answers. */
const SAMPLES_PER_SECOND = 200;

/** What instruments speak: each name is what stands before `://` in an address. */
export const PROTOCOLS = {
  scpi: {
    gives: 'meter',
    follow: ({ meterChannels, ...at }) =>
      new MeterFeed({ ...at, channels: meterChannels, samplesPerSecond: SAMPLES_PER_SECOND }),
    standIn: simulatedInstrument,
  },
  slcan: {
    gives: 'live-data',
    follow: (options: Followed & (SocketPlace | DevicePlace)) => new VehicleFeed(options),
    standIn: () => simulatedVehicle(),
  },
  'can-text': { gives: 'live-data', follow: (options) => new LiveDataFeed(options), standIn: simulatedUnit },
} satisfies Record<string, ProtocolSpec>;
export type ProtocolId = keyof typeof PROTOCOLS;

/** `name=` before an address calls it so. */
const ADDRESS =
  /^(?:(?<name>[^\s=;]{1,40})=)?(?:(?<protocol>[a-z][a-z\d-]*):\/\/)?(?<host>[\w.-]+):(?<port>\d{1,5})$/u;

const HIGHEST_PORT = 65_535;
/** What an adapter on a serial line speaks. */
export const ON_DEVICE = 'slcan' satisfies ProtocolId;
/** The path of a device, as Debian names them: `/dev/ttyACM0`, `/dev/serial/by-id/...`. */
const DEVICE = /^(?:(?<name>[^\s=;]{1,40})=)?slcan:\/\/(?<device>\/dev\/[\w./:-]{1,200})$/u;

/** Where a feed comes from: an address, the stand-in of a protocol, or nowhere. */
export type FeedPlace =
  | 'none'
  | 'simulated'
  | { name?: string; protocol?: ProtocolId; host: string; port: number }
  | { name?: string; protocol: typeof ON_DEVICE; device: string };

/** What an address without a protocol speaks, as it did before there were several. */
export const USUAL_PROTOCOL: Record<FeedKind, ProtocolId> = { meter: 'scpi', 'live-data': 'can-text' };
/** What the stand-in of a feed speaks. */
export const STAND_IN_PROTOCOL: Record<FeedKind, ProtocolId> = { meter: 'scpi', 'live-data': 'slcan' };

/** What can stand before an address of such a feed. */
export const protocolsOf = (wanted: FeedKind): ProtocolId[] =>
  (Object.keys(PROTOCOLS) as ProtocolId[]).filter((id) => PROTOCOLS[id].gives === wanted);

/**
 * An address as it is set, `host:port`, `protocol://host:port` or `slcan:///dev/name`; undefined where it is none that gives such a
 * feed.
 */
export function feedPlace(text: string, wanted: FeedKind): FeedPlace | undefined {
  if (text === 'none' || text === 'simulated') return text;
  const onDevice = DEVICE.exec(text)?.groups;
  if (onDevice) {
    const { name: called, device = '' } = onDevice;
    // A way out of the folder of devices is no device.
    if (PROTOCOLS[ON_DEVICE].gives !== wanted || device.split('/').includes('..')) return undefined;
    return { ...named(called), protocol: ON_DEVICE, device };
  }
  const { name, protocol, host, port } = ADDRESS.exec(text)?.groups ?? {};
  if (host === undefined || Number(port) > HIGHEST_PORT) return undefined;
  const at = { ...named(name), host, port: Number(port) };
  if (protocol === undefined) return at;
  const known = protocolsOf(wanted).find((id) => id === protocol);
  return known && { protocol: known, ...at };
}

const named = (name: string | undefined) => (name ? { name: name.replaceAll('_', ' ') } : {});

/** Several of them, with blanks between; undefined where one is none, or where they are too many. */
export function feedPlaces(text: string, wanted: FeedKind): FeedPlace[] | undefined {
  const places = text
    .trim()
    .split(/\s+/u)
    .map((one) => feedPlace(one, wanted));
  const isList = places.length === 1 || !places.some((one) => typeof one === 'string');
  return isList && places.length <= MOST_METERS && places.every((one) => one !== undefined)
    ? places
    : undefined;
}
