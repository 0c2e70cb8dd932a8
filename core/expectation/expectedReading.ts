import { keyOn, type Lane, type MachineState, type Target } from '../evidence/index.ts';
import type { Ambient } from '../quantity/index.ts';
import { signalFromPressure, type SensorProfile } from '../transfer/index.ts';
import { expectedManifoldPressure, type PressureBand } from './enginePressure.ts';

/** Common practice: the reference is normal within ±0.1 V, the return within 50 mV of battery negative under load. */
export const REFERENCE_TOLERANCE_VOLTS = 0.1;
export const NORMAL_RETURN_VOLTS = 0.05;

export interface Expectation {
  unit: 'V' | 'kPa abs';
  lowest: number;
  highest: number;
  reason: string;
}

export interface ExpectationContext {
  profile: SensorProfile;
  ambient: Ambient | undefined;
  /** As measured at the plug, or the nominal value. */
  referenceVolts: number;
}

/** What a place should read in a state. `undefined` where nothing can be said yet; `whyNoExpectation` says why. */
export function expectedReading(
  target: Target,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  if (target.kind === 'wire') return expectedVolts(target.lane, state, context);
  if (!context.ambient || (target.kind === 'scan' && (!keyOn(state) || state.plug === 'unplugged')))
    return undefined;
  const band = expectedManifoldPressure(state.engine, context.ambient.pressureKpaAbs);
  const doubtKpa =
    target.kind === 'scan' ? context.profile.toleranceKpa : context.ambient.expandedUncertaintyKpa;
  return {
    unit: 'kPa abs',
    lowest: band.lowestKpaAbs - doubtKpa,
    highest: band.highestKpaAbs + doubtKpa,
    reason: sentence(band.reason),
  };
}

export function whyNoExpectation(target: Target, state: MachineState, context: ExpectationContext): string {
  if (target.kind === 'scan' && !keyOn(state)) return 'Live data needs the key on.';
  if (target.kind !== 'gauge' && state.plug === 'unplugged') {
    return target.kind === 'scan'
      ? 'With the plug off, live data shows the unit’s bias or a substituted value.'
      : 'Which way this input is biased is not known: note what it reads.';
  }
  return context.ambient
    ? 'Nothing can be said before the reading is taken.'
    : 'Give the ambient pressure first: the expected value follows from it.';
}

function expectedVolts(
  lane: Lane,
  state: MachineState,
  context: ExpectationContext,
): Expectation | undefined {
  const { profile } = context;
  if (lane === 'return') {
    return volts(
      -NORMAL_RETURN_VOLTS,
      NORMAL_RETURN_VOLTS,
      state.plug === 'connected'
        ? 'A sound return stays within 50 mV of battery negative under load.'
        : 'No current flows with the plug off: a good value here does not prove the wire.',
    );
  }
  if (!keyOn(state)) return volts(-0.05, 0.05, 'With the key off nothing feeds this wire.');
  if (lane === 'reference') {
    const nominal = profile.nominalReferenceVolts;
    return volts(
      nominal - REFERENCE_TOLERANCE_VOLTS,
      nominal + REFERENCE_TOLERANCE_VOLTS,
      state.plug === 'connected'
        ? `The reference is ${nominal.toFixed(1)} V, and the sensor loads it.`
        : 'Unloaded: this shows that the reference is there, not that the wire carries current.',
    );
  }
  return state.plug === 'unplugged' ? unpluggedSignal(profile) : connectedSignal(state, context);
}

function unpluggedSignal({ bias, nominalReferenceVolts }: SensorProfile): Expectation | undefined {
  if (bias === 'unknown') return undefined;
  return bias === 'pull-up'
    ? volts(nominalReferenceVolts - 0.5, nominalReferenceVolts + 0.1, 'The unit pulls its open input up.')
    : volts(-0.05, 0.3, 'The unit pulls its open input down.');
}

function connectedSignal(state: MachineState, context: ExpectationContext): Expectation | undefined {
  if (!context.ambient) return undefined;
  const band = expectedManifoldPressure(state.engine, context.ambient.pressureKpaAbs);
  const ends = signalEnds(band, context);
  return volts(Math.min(...ends), Math.max(...ends), sentence(band.reason));
}

function signalEnds(band: PressureBand, { profile, referenceVolts, ambient }: ExpectationContext): number[] {
  const doubtKpa = Math.hypot(profile.toleranceKpa, ambient?.expandedUncertaintyKpa ?? 0);
  return [band.lowestKpaAbs - doubtKpa, band.highestKpaAbs + doubtKpa].map(
    (kpaAbs) => signalFromPressure(kpaAbs, referenceVolts, profile).signalVolts,
  );
}

const volts = (lowest: number, highest: number, reason: string): Expectation => ({
  unit: 'V',
  lowest,
  highest,
  reason,
});
const sentence = (reason: string): string => `${reason.charAt(0).toUpperCase()}${reason.slice(1)}.`;
