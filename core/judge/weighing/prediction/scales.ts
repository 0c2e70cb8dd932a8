import {
  arePulses,
  fullPulses,
  type PulseTransfer,
  type SensorProfile,
} from '../../../measure/transfer/index.ts';

/** What an instrument can show, in steps that it can tell apart; anything past an end is in the last step. */
export interface Scale {
  steps: number;
  stepOf(reads: number): number;
  /** The reading in the middle of a step. */
  readAt(step: number): number;
}

/** A meter tells millivolts apart near zero, and hundredths higher up: its steps grow with what it shows. */
const LEAST_VOLTS = 0.018;
const GROWTH = 0.009;
const MOST_VOLTS = 15;
const UPWARDS = Math.ceil(Math.log1p((MOST_VOLTS * GROWTH) / LEAST_VOLTS) / GROWTH);
const DOWNWARDS = 40;
const voltsAt = (grown: number): number => (Math.expm1(grown * GROWTH) * LEAST_VOLTS) / GROWTH;
/** Where one step upwards from zero ends and the next begins. */
const METER_ENDS = Float64Array.from({ length: UPWARDS + 1 }, (_, grown) => voltsAt(grown + 0.5));
/** No step is as narrow as this: it is looked up where its voltage lies, since a logarithm takes several times as long. */
const LOOKED_UP_VOLTS = 0.005;
const MOST_LOOKED_UP = Math.ceil(METER_ENDS[UPWARDS]! / LOOKED_UP_VOLTS);
const LOOKED_UP = Int16Array.from({ length: MOST_LOOKED_UP + 1 }, (_, at) =>
  METER_ENDS.findIndex((end) => end > at * LOOKED_UP_VOLTS || end === METER_ENDS[UPWARDS]),
);

export const METER_SCALE: Scale = {
  steps: UPWARDS + DOWNWARDS,
  stepOf: (volts) => {
    const size = Math.abs(volts);
    const at = size / LOOKED_UP_VOLTS;
    let grown = at < MOST_LOOKED_UP ? LOOKED_UP[Math.floor(at)]! : UPWARDS;
    if (size >= METER_ENDS[grown]!) grown++;
    return Math.min(UPWARDS + DOWNWARDS - 1, Math.max(0, DOWNWARDS + (volts < 0 ? -grown : grown)));
  },
  readAt: (step) => Math.sign(step - DOWNWARDS) * voltsAt(Math.abs(step - DOWNWARDS)),
};

/** Ohms by tenths of their logarithm, from less than the leads to OL. */
const LEAST_OHMS = 0.4;
const OHMS_STEP = 0.15;
const OHMS_STEPS = 140;
export const OHMS_SCALE: Scale = {
  steps: OHMS_STEPS,
  stepOf: (ohms) =>
    !Number.isFinite(ohms)
      ? OHMS_STEPS - 1
      : within(Math.log((Math.max(0, ohms) + LEAST_OHMS) / LEAST_OHMS) / OHMS_STEP, OHMS_STEPS - 1),
  readAt: (step) => (step === OHMS_STEPS - 1 ? Infinity : LEAST_OHMS * Math.expm1(step * OHMS_STEP)),
};

/** Grams a second by shares, as coarse as speed and density tell them apart. */
const LEAST_FLOW = 0.5;
const FLOW_STEP = 0.3;
const FLOW_STEPS = 25;
export const ENGINE_FLOW_SCALE: Scale = {
  steps: FLOW_STEPS,
  stepOf: (flow) => within(Math.log1p(Math.max(0, flow) / LEAST_FLOW) / FLOW_STEP, FLOW_STEPS),
  readAt: (step) => LEAST_FLOW * Math.expm1(step * FLOW_STEP),
};

/** Even steps over what the sensor can show, and a little past it. */
export function valueScale({ lowest, highest }: SensorProfile, stepShare: number): Scale {
  const range = highest - lowest;
  const steps = Math.ceil((1 + 2 * MARGIN) / stepShare);
  return {
    steps,
    stepOf: (value) => within(((value - lowest) / range + MARGIN) / stepShare, steps),
    readAt: (step) => lowest + range * (step * stepShare - MARGIN),
  };
}
const MARGIN = 0.1;

/** Hertz or percent, from a line that stands, in even steps. */
export function pulsesScale(transfer: PulseTransfer): Scale {
  const full = fullPulses(transfer);
  return {
    steps: PULSES_STEPS + 1,
    // One that always stands up stands as well.
    stepOf: (shown) =>
      arePulses(transfer.form, shown) ? within((PULSES_STEPS * shown) / full, PULSES_STEPS + 1) : 0,
    readAt: (step) => (full * step) / PULSES_STEPS,
  };
}
const PULSES_STEPS = 200;

const within = (at: number, steps: number): number => Math.min(steps - 1, Math.max(0, Math.round(at)));
