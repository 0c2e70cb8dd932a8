import { createServer, type AddressInfo, type Socket } from 'node:net';
import { BRILL_P4, CASE_LETTERS, liveData, practiceMachine, type SimulatedMachine } from '@lettura/bench';
import type { FamilyId } from '@lettura/core/machine/family';
import { liveBytes, liveItemOf, type LiveItemId } from '@lettura/core/machine/live';
import type { MachineState } from '@lettura/core/machine/places';
import {
  answered,
  codeToBytes,
  framesOf,
  FROZEN_FOR,
  fromSerialText,
  READINESS,
  readinessBytes,
  Receiver,
  refusedWith,
  SERVICES,
  SUPPORTED_LISTS,
  supportedBytes,
  toSerialText,
  VEHICLE_NUMBER,
  type CanFrame,
  type Readiness,
} from '@lettura/core/record/onBoard';

/** How it can be other than usual. */
export type Manner =
  | 'usual'
  /** Key off: nobody answers. */
  | 'silent'
  /** Says which items it has, and is gone before it says anything of them. */
  | 'leaves'
  /** The adapter is alone on its bus. */
  | 'no-bus'
  /** Asks for patience before each answer. */
  | 'slow'
  /** Will not clear with its engine running. */
  | 'will-not-clear'
  /** A piece of every long answer is lost. */
  | 'drops-pieces'
  /** Wide identifiers, at half the speed. */
  | 'wide';

export interface SimulatedVehicle {
  port: number;
  behave(manner: Manner): void;
  /** What was wrong with it is put right; what it keeps stays until it is cleared. */
  mend(): void;
  /** Long enough for every self-test to finish. */
  drive(): void;
  /** Frames that were sent to it so far. */
  heard(): number;
  cut(): void;
  close(): Promise<void>;
}

const IDLE: MachineState = { engine: 'idle', plug: 'connected' };
const NUMBER = 'SIMULATED00000001';
/** After clearing, a unit that still sees the fault says so again after this, first as pending. */
const PENDING_AGAIN_MS = 1500;
const STORED_AGAIN_MS = 4000;
const SLOW_MS = 100;
const SEED = 11;
/** What a drive finishes; the last two take the longest. */
const EVERY_MONITOR = [
  'misfire',
  'fuel-system',
  'components',
  'oxygen-sensor',
  'catalyst',
  'evaporative',
] as const;
const SLOW_MONITORS: readonly (typeof EVERY_MONITOR)[number][] = ['catalyst', 'evaporative'];

const faulty = (): SimulatedMachine => practiceMachine(BRILL_P4, 'A', SEED);
/** The same machine with nothing wrong. */
const sound = ({ machine }: SimulatedMachine): SimulatedMachine =>
  practiceMachine(
    machine,
    CASE_LETTERS.find((letter) => machine.cases[letter].length === 0)!,
    SEED,
  );
const codesOf = (machine: SimulatedMachine): readonly string[] => liveData(machine, IDLE)?.codes ?? [];

/** What an idling engine with a pedal that somebody moves answers beside its manifold. */
const OTHERS: Partial<Record<LiveItemId, (seconds: number) => number>> = {
  0x04: () => 24,
  0x0c: (seconds) => 820 + 15 * Math.sin(2 * seconds),
  0x0f: () => 21,
  0x10: () => 2.4,
  0x33: () => 101,
  0x42: () => 13.9,
  0x49: (seconds) => 100 * Math.max(0, Math.sin(seconds / 2)) ** 2,
};
const OTHER_IDS = Object.keys(OTHERS).map(Number) as LiveItemId[];
const MANIFOLD = 0x0b;
/** What it tells of the sensor under test. */
const OWN_ITEM: Partial<Record<FamilyId, LiveItemId>> = { 'fuel-rail-pressure': 0x23 };
const GEARBOX_ITEMS = [READINESS, 0x0c];

/** One unit: what it says to a request; undefined where it says nothing. */
type Unit = (request: readonly number[]) => number[] | undefined;

/**
 * A stand-in for a vehicle behind an adapter: a TCP server on loopback with two control units. The sensor under test is that of a
 * simulated machine, whose fault sets the codes.
 */
export async function simulatedVehicle(machine: SimulatedMachine = faulty()): Promise<SimulatedVehicle> {
  const sockets = new Set<Socket>();
  let manner: Manner = 'usual';
  let heard = 0;
  let clearedAtMs = -Infinity;
  let now = machine;
  let driven = false;
  const kept = { stored: codesOf(machine), pending: codesOf(machine), permanent: codesOf(machine) };
  const own = OWN_ITEM[machine.machine.sensor.family] ?? MANIFOLD;
  const engineItems = [READINESS, own, ...OTHER_IDS, 0x20, 0x40];
  const units: Unit[] = [engineUnit(), gearbox];

  function engineUnit(): Unit {
    /** What it sees still is there again some time after clearing; what it kept from before stays until then. */
    const keeps = (keeping: keyof typeof kept): readonly string[] => {
      const again = { pending: PENDING_AGAIN_MS, stored: STORED_AGAIN_MS, permanent: 0 }[keeping];
      if (Date.now() - clearedAtMs > again) kept[keeping] = [...new Set([...kept[keeping], ...codesOf(now)])];
      return kept[keeping];
    };
    const codes = (of: readonly string[]): number[] => [
      of.length,
      ...of.flatMap((code) => codeToBytes(code) ?? []),
    ];
    const readiness = (): Readiness => {
      const stored = keeps('stored');
      const open: typeof SLOW_MONITORS = driven ? [] : clearedAtMs > 0 ? EVERY_MONITOR : SLOW_MONITORS;
      return {
        lampOn: stored.length > 0,
        storedCodes: stored.length,
        ignition: 'spark',
        finished: EVERY_MONITOR.filter((id) => !open.includes(id)),
        unfinished: [...open],
      };
    };
    const item = (id: number): number[] | undefined => {
      if (SUPPORTED_LISTS.includes(id)) return supportedBytes(id, engineItems);
      if (id === READINESS) return readinessBytes(readiness());
      const value = id === own ? liveData(now, IDLE)?.value : OTHERS[id as LiveItemId]?.(Date.now() / 1000);
      return value === undefined ? undefined : liveBytes(liveItemOf(id as LiveItemId), value);
    };
    return (request) => {
      const [service = 0, wanted = -1] = request;
      const said = (data: number[] | undefined) => data && answered(request, data);
      switch (service) {
        case SERVICES['live-data']:
          return said(item(wanted));
        case SERVICES['freeze-frame']: {
          const [code] = keeps('stored');
          if (wanted === FROZEN_FOR) return said((code && codeToBytes(code)) || [0, 0]);
          return code === undefined ? undefined : said(item(wanted));
        }
        case SERVICES.stored:
          return said(codes(keeps('stored')));
        case SERVICES.pending:
          return said(codes(keeps('pending')));
        case SERVICES.permanent:
          return said(codes(keeps('permanent')));
        case SERVICES.vehicle:
          return wanted === VEHICLE_NUMBER
            ? said([1, ...[...NUMBER].map((letter) => letter.charCodeAt(0))])
            : undefined;
        case SERVICES.clear:
          if (manner === 'will-not-clear') return refusedWith(request, 'not-now');
          clearedAtMs = Date.now();
          driven = false;
          kept.stored = [];
          kept.pending = [];
          return said([]);
        default:
          return refusedWith(request, 'no-such-service');
      }
    };
  }

  const server = createServer((socket) => {
    sockets.add(socket);
    socket.on('close', () => sockets.delete(socket));
    socket.on('error', () => socket.destroy());
    socket.setNoDelay(true);
    const bus = new Bus(socket, units, () => manner);
    let text = '';
    socket.setEncoding('latin1');
    socket.on('data', (piece: string) => {
      const lines = (text + piece).split('\r');
      text = lines.pop() ?? '';
      for (const line of lines) {
        if (/^t/iu.test(line)) heard++;
        bus.command(line);
      }
    });
  });
  await new Promise<void>((resolve) => server.listen(0, '127.0.0.1', resolve));
  return {
    port: (server.address() as AddressInfo).port,
    behave: (other) => (manner = other),
    mend: () => (now = sound(machine)),
    drive() {
      driven = true;
      // That the fault is gone is proven, and only then the unit forgets it.
      if (codesOf(now).length === 0) kept.permanent = [];
    },
    heard: () => heard,
    cut: () => sockets.forEach((socket) => socket.destroy()),
    close: async () => {
      for (const socket of sockets) socket.destroy();
      await new Promise((resolve) => server.close(resolve));
    },
  };
}

/** A second unit on the bus, with nothing to complain of. */
const gearbox: Unit = (request) => {
  const [service, wanted = -1] = request;
  if (service === SERVICES.stored || service === SERVICES.pending) return answered(request, [0]);
  if (service === SERVICES.clear) return answered(request, []);
  if (service !== SERVICES['live-data']) return refusedWith(request, 'no-such-service');
  if (SUPPORTED_LISTS.includes(wanted)) return answered(request, supportedBytes(wanted, GEARBOX_ITEMS));
  if (wanted === 0x0c) return answered(request, liveBytes(liveItemOf(0x0c), 820));
  return undefined;
};

const NARROW = { asksAll: 0x7df, asks: 0x7e0, answers: 0x7e8, speed: 'S6' } as const;
const WIDE_ALL = 0x18db33f1;
const wideNumber = (unit: number): number => 0x10 + 8 * unit;

/** What the adapter makes of its commands, and the units of their frames. */
class Bus {
  readonly #socket: Socket;
  readonly #units: readonly Unit[];
  readonly #manner: () => Manner;
  readonly #rest = new Map<number, number[][]>();
  #speed = '';

  constructor(socket: Socket, units: readonly Unit[], manner: () => Manner) {
    this.#socket = socket;
    this.#units = units;
    this.#manner = manner;
  }

  command(line: string): void {
    if (/^S\d$/u.test(line)) this.#speed = line;
    if (line === 'F') return this.#say(this.#manner() === 'no-bus' ? 'FA4' : 'F00');
    const frame = fromSerialText(line);
    this.#say(frame ? 'z' : '');
    if (frame) this.#take(frame);
  }

  #say(text: string): void {
    if (!this.#socket.destroyed) this.#socket.write(`${text}\r`);
  }

  #take({ id, isExtended, bytes }: CanFrame): void {
    const manner = this.#manner();
    const isWide = manner === 'wide';
    if (manner === 'silent' || manner === 'no-bus' || isExtended !== isWide) return;
    if (this.#speed !== (isWide ? 'S5' : NARROW.speed)) return;
    this.#units.forEach((unit, number) => {
      const asksIt = isWide
        ? [WIDE_ALL, 0x18da0000 + wideNumber(number) * 0x100 + 0xf1]
        : [NARROW.asksAll, NARROW.asks + number];
      if (!asksIt.includes(id)) return;
      const answersWith = isWide ? 0x18daf100 + wideNumber(number) : NARROW.answers + number;
      const send = (piece: readonly number[]) =>
        this.#say(toSerialText({ id: answersWith, isExtended, bytes: piece }));
      // Leave to go on with what it had begun.
      if ((bytes[0] ?? 0) >> 4 === 3) {
        for (const piece of this.#rest.get(number) ?? []) send(piece);
        this.#rest.delete(number);
        return;
      }
      const received = new Receiver().take(bytes);
      const isGone =
        manner === 'leaves' &&
        received.kind === 'message' &&
        !SUPPORTED_LISTS.includes(received.message[1] ?? -1);
      const answer = received.kind === 'message' && !isGone ? unit(received.message) : undefined;
      if (received.kind !== 'message' || !answer) return;
      const [first, ...rest] = framesOf(answer);
      const go = () => {
        send(first!);
        if (rest.length > 0) this.#rest.set(number, manner === 'drops-pieces' ? rest.slice(1) : rest);
      };
      if (manner !== 'slow') return go();
      send(framesOf(refusedWith(received.message, 'wait'))[0]!);
      setTimeout(go, SLOW_MS);
    });
  }
}
