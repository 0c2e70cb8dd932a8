import { checksum4, checksum6, RANGE_STEPS } from '@lettura/core/recording/telegram';
import { keyOn, type MachineState } from '@lettura/core/machine/places';
import { normalDeviate, seededRandom } from './random.ts';
import type { SimulatedMachine } from './simulatedMachine.ts';
import type { BenchSweep } from './sweepRecording.ts';

/** What a sender may do wrong on a line that is sound, for practice and for tests: every so many frames. */
export interface SenderIll {
  does: 'wrong-checksum' | 'loses-a-pulse' | 'sends-the-same' | 'other-tick' | 'upside-down';
  everyFrames: number;
}

const TICK_SECONDS = 3e-6;
const OTHER_TICK = 1.15;
const SAMPLE_SECONDS = 0.5e-6;
const CAPTURE_SECONDS = 0.03;
/** From up to down, and for how long it stays down. */
const FALL_SECONDS = 2e-6;
const DOWN_TICKS = 5;
const SCATTER_VOLTS = 0.015;
const CALIBRATION_TICKS = 56;
const ZERO_TICKS = 12;
/** A message that says what kind of sensor it is; invented. */
const KIND = { id: 0x03, value: 0x041 };

/** A line that may carry telegrams can be captured, where its sender is one of those. */
export const canBeCaptured = (machine: SimulatedMachine): boolean => machine.sentAtPlug(KEY_ON) !== undefined;
const KEY_ON: MachineState = { engine: 'koeo', plug: 'connected' };

/** A short and fast capture of the signal at the plug: two million samples a second, for some dozens of frames. */
export function captureTelegrams(
  machine: SimulatedMachine,
  state: MachineState,
  seed: number,
  ill?: SenderIll,
): BenchSweep {
  const [down, up] = machine.sentAtPlug(state) ?? [NaN, NaN];
  const random = seededRandom(seed);
  const samples = Math.round(CAPTURE_SECONDS / SAMPLE_SECONDS);
  const seconds = Float64Array.from({ length: samples }, (_, i) => i * SAMPLE_SECONDS);
  const volts = new Float64Array(samples).fill(keyOn(state) ? up : down);
  // Begun somewhere in a frame, as a capture is.
  let at = -random() * 200 * TICK_SECONDS;
  for (let frame = 0; at < CAPTURE_SECONDS; frame++) {
    const spoilt =
      ill !== undefined && frame % ill.everyFrames === ill.everyFrames - 1 ? ill.does : undefined;
    const tick = TICK_SECONDS * (ill?.does === 'other-tick' ? OTHER_TICK : 1);
    for (const ticks of pulsesOf(machine, state, frame, spoilt)) {
      pull(volts, at, tick, { down, up });
      at += ticks * tick;
    }
  }
  for (let i = 0; i < samples; i++) {
    if (ill?.does === 'upside-down') volts[i] = up + down - volts[i]!;
    volts[i] = volts[i]! + SCATTER_VOLTS * normalDeviate(random);
  }
  return {
    recording: { seconds, channels: [{ name: 'Signal at the plug', unit: 'V', values: volts }] },
    uses: ['signal'],
  };
}

/** The line goes down, stays there, and comes up again. */
function pull(
  volts: Float64Array,
  at: number,
  tick: number,
  { down, up }: { down: number; up: number },
): void {
  const ends = at + DOWN_TICKS * tick;
  const last = Math.min(volts.length - 1, Math.ceil((ends + FALL_SECONDS) / SAMPLE_SECONDS));
  for (let i = Math.max(0, Math.floor(at / SAMPLE_SECONDS)); i <= last; i++) {
    const moment = i * SAMPLE_SECONDS;
    const fallen = Math.min(1, Math.max(0, (moment - at) / FALL_SECONDS));
    const risen = Math.min(1, Math.max(0, (moment - ends) / FALL_SECONDS));
    volts[i] = up - (up - down) * (fallen - risen);
  }
}

/** One frame in ticks: the quantity in the first twelve bits, what it is not in the other twelve. */
function pulsesOf(
  machine: SimulatedMachine,
  state: MachineState,
  frame: number,
  spoilt: SenderIll['does'] | undefined,
): number[] {
  const { lowest, highest } = machine.machine.sensor.profile;
  const share = (machine.quantity(state, 'sensor') - lowest) / (highest - lowest);
  const step =
    spoilt === 'sends-the-same'
      ? 0
      : Math.min(4088, Math.max(1, Math.round(RANGE_STEPS[0] + share * (RANGE_STEPS[1] - RANGE_STEPS[0]))));
  const other = 4095 - step;
  const data = [step >> 8, (step >> 4) & 15, step & 15, other & 15, (other >> 4) & 15, other >> 8];
  const sum = checksum4(data, 0, data.length, 'recommended') ^ (spoilt === 'wrong-checksum' ? 1 : 0);
  const nibbles = [statusOf(frame), ...data, sum];
  const ticks = [CALIBRATION_TICKS, ...nibbles.map((value) => ZERO_TICKS + value)];
  if (spoilt === 'loses-a-pulse') ticks.splice(3, 2, ticks[3]! + ticks[4]!);
  return ticks;
}

/** An enhanced serial message over and over, two bits a frame. */
function statusOf(frame: number): number {
  const bits = (value: number, count: number) =>
    Array.from({ length: count }, (_, i) => (value >> (count - 1 - i)) & 1);
  const data = bits(KIND.value, 12);
  const start = [0, 0, ...bits(KIND.id >> 4, 4), 0, ...bits(KIND.id & 15, 4), 0];
  const sum = bits(checksum6(data.flatMap((bit, i) => [bit, start[i]!])), 6);
  const at = frame % 18;
  return at < 6 ? 8 + 4 * sum[at]! : 8 * start[at - 6]! + 4 * data[at - 6]!;
}
