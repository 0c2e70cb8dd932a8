import { checksum4, CHECKSUM_FORMS, type ChecksumForm } from './checksum.ts';

/*
 * SAE J2716 (SENT), its figures from memory: a frame is a calibration pulse of 56 ticks, a status nibble, one to six data
 * nibbles, a checksum nibble, and perhaps a pause; a nibble of value v lasts 12 + v ticks from falling edge to falling edge.
 */
export const CALIBRATION_TICKS = 56;
export const NIBBLE_ZERO_TICKS = 12;
const MOST_PAUSE_TICKS = 768;
const MOST_NIBBLES = 6;
/** 3 to 90 µs, each by a fifth off, and a little for the capture's own clock. */
const TICK_SECONDS = [3e-6 * 0.79, 90e-6 * 1.21] as const;
/** From one calibration pulse to the next; more is another clock, or no calibration. */
const CALIBRATION_SHARE = 1 / 64;
/** Farther from a whole number of ticks a pulse is between two values, and neither is taken. */
const OFF_TICKS = 0.4;
/** So many pulses show how the frames are built. */
const MOST_PULSES_TRIED = 6000;
/** Fewer good frames in a row are chance: a wrong one passes the checksum once in sixteen. */
const FEWEST_FRAMES = 3;
/** Where pulses are lost a calibration is looked for within this of the last one. */
const SOUGHT_SHARE = 0.05;

/** What keeps a frame from being taken. */
export const TELEGRAM_FAULTS = ['checksum', 'nibble', 'pulses', 'calibration'] as const;
export type TelegramFault = (typeof TELEGRAM_FAULTS)[number];

/** How the frames of a sender are built. */
export interface TelegramLayout {
  nibbles: number;
  hasPause: boolean;
  checksum: ChecksumForm;
}

/** Good frames one below the other, and what was lost between them. */
export interface Telegrams {
  layout: TelegramLayout;
  /** The median of all good frames. */
  tickSeconds: number;
  /** Of each good frame: when it begins, its status nibble, its data one frame after the other. */
  startSeconds: Float64Array;
  status: Uint8Array;
  data: Uint8Array;
  /** Of each: whether the frame before it is the one that was sent before it. */
  follows: Uint8Array;
  /** Frames that were lost, by what was wrong with them first. */
  lost: Record<TelegramFault, number>;
  /** When the first few were lost. */
  lostAtSeconds: number[];
}

const MOST_LOST_TOLD = 50;

/**
 * Frames from falling edges, with whatever tick, number of nibbles, pause and checksum the sender has.
 *
 * @param falling in seconds, rising
 * @returns undefined where hardly any frame is good: these pulses are no telegrams of this kind, or garbled ones
 */
export function telegramsIn(falling: Float64Array): Telegrams | undefined {
  const pulses = Float64Array.from(
    { length: Math.max(0, falling.length - 1) },
    (_, i) => falling[i + 1]! - falling[i]!,
  );
  const layout = layoutOf(pulses);
  return layout && read(falling, pulses, layout);
}

function layoutOf(pulses: Float64Array): TelegramLayout | undefined {
  const tried = pulses.subarray(0, MOST_PULSES_TRIED);
  let best: { layout: TelegramLayout; good: number } | undefined;
  for (let nibbles = MOST_NIBBLES; nibbles >= 1; nibbles--)
    for (const hasPause of [false, true])
      for (const checksum of CHECKSUM_FORMS) {
        const layout = { nibbles, hasPause, checksum };
        const good = goodFrames(tried, layout);
        if (good >= FEWEST_FRAMES && good > (best?.good ?? 0)) best = { layout, good };
      }
  return best?.layout;
}

function goodFrames(pulses: Float64Array, layout: TelegramLayout): number {
  const values = new Uint8Array(MOST_NIBBLES + 2);
  let good = 0;
  for (let at = 0; at + layout.nibbles + 2 < pulses.length;) {
    if (frameAt(pulses, at, layout, values) === undefined) {
      good++;
      at += pulsesOf(layout);
    } else at++;
  }
  return good;
}

/** Calibration, status, data, checksum, and the pause. */
const pulsesOf = ({ nibbles, hasPause }: TelegramLayout): number => nibbles + 3 + (hasPause ? 1 : 0);

/**
 * What is wrong with the frame that begins with this pulse; undefined for a good one.
 *
 * @param values is given status, data and checksum
 */
function frameAt(
  pulses: Float64Array,
  at: number,
  { nibbles, hasPause, checksum }: TelegramLayout,
  values: Uint8Array,
): TelegramFault | undefined {
  const calibration = pulses[at]!;
  const tick = calibration / CALIBRATION_TICKS;
  if (!(tick >= TICK_SECONDS[0] && tick <= TICK_SECONDS[1])) return 'calibration';
  for (let k = 0; k < nibbles + 2; k++) {
    const ticks = pulses[at + 1 + k]! / tick;
    const value = Math.round(ticks) - NIBBLE_ZERO_TICKS;
    // The next frame is there already, or pulses have run together.
    if (value > 15) return 'pulses';
    if (!(value >= 0) || Math.abs(ticks - value - NIBBLE_ZERO_TICKS) > OFF_TICKS) return 'nibble';
    values[k] = value;
  }
  const after = at + nibbles + 3;
  if (hasPause && after < pulses.length) {
    const ticks = pulses[after]! / tick;
    if (!(ticks > NIBBLE_ZERO_TICKS - 0.5 && ticks < MOST_PAUSE_TICKS + 0.5)) return 'pulses';
  }
  const next = pulses[after + (hasPause ? 1 : 0)];
  // The last one of a capture has none behind it.
  if (next !== undefined && Math.abs(next / calibration - 1) > CALIBRATION_SHARE)
    return Math.abs(next / calibration - 1) > SOUGHT_SHARE ? 'pulses' : 'calibration';
  return checksum4(values, 1, nibbles, checksum) === values[nibbles + 1] ? undefined : 'checksum';
}

function read(falling: Float64Array, pulses: Float64Array, layout: TelegramLayout): Telegrams {
  const { nibbles } = layout;
  const most = Math.ceil(pulses.length / (nibbles + 3)) + 1;
  const startSeconds = new Float64Array(most);
  const ticks = new Float64Array(most);
  const status = new Uint8Array(most);
  const follows = new Uint8Array(most);
  const data = new Uint8Array(most * nibbles);
  const values = new Uint8Array(MOST_NIBBLES + 2);
  const lost: Telegrams['lost'] = { checksum: 0, nibble: 0, pulses: 0, calibration: 0 };
  const lostAtSeconds: number[] = [];
  let count = 0;
  let calibration = NaN;
  let isUnbroken = false;
  for (let at = 0; at + nibbles + 2 < pulses.length;) {
    const fault = frameAt(pulses, at, layout, values);
    if (fault === undefined) {
      startSeconds[count] = falling[at]!;
      ticks[count] = pulses[at]! / CALIBRATION_TICKS;
      status[count] = values[0]!;
      follows[count] = isUnbroken ? 1 : 0;
      data.set(values.subarray(1, nibbles + 1), count * nibbles);
      count++;
      calibration = pulses[at]!;
      isUnbroken = true;
      at += pulsesOf(layout);
      continue;
    }
    // Before the first good frame the capture begins somewhere in one: nothing was lost.
    if (count > 0 && isUnbroken) {
      lost[fault]++;
      if (lostAtSeconds.length < MOST_LOST_TOLD) lostAtSeconds.push(falling[at]!);
    }
    const begin = at;
    at++;
    while (at < pulses.length && count > 0 && Math.abs(pulses[at]! / calibration - 1) > SOUGHT_SHARE) at++;
    // A calibration that is found where the next frame is due begins one more frame, good or lost.
    isUnbroken = count > 0 && at - begin >= nibbles + 2 && at < pulses.length;
  }
  const tickSeconds = ticks.slice(0, count).sort()[count >> 1] ?? NaN;
  return {
    layout,
    tickSeconds,
    startSeconds: startSeconds.slice(0, count),
    status: status.slice(0, count),
    follows: follows.slice(0, count),
    data: data.slice(0, count * nibbles),
    lost,
    lostAtSeconds,
  };
}
