import { latestWire, type WireReading } from '../../record/evidence/index.ts';
import { isReturn, isSteady, type Lane, type MachineState } from '../../machine/places/index.ts';
import { REFERENCE_TOLERANCE_VOLTS, soundReturnVolts } from '../../machine/limits/index.ts';
import type { WireInput } from '../../measure/uncertainty/index.ts';
import type { CaseFile } from './caseFile.ts';

/** A wire of the supply, as it was read, or as a sound unit gives it. */
export interface SupplyWire {
  input: WireInput;
  /** Undefined where nobody read it: then it is only taken for granted. */
  reading: WireReading | undefined;
}

/**
 * Reference or return as it belongs to what was read in a state: they move little between key-on states, so that the same state
 * is taken where there is one.
 */
export function supplyOf(
  { readings, meter, profile }: Pick<CaseFile, 'readings' | 'meter' | 'profile'>,
  lane: Extract<Lane, 'reference' | 'return' | 'second-reference' | 'second-return'>,
  state: Pick<MachineState, 'engine'>,
): SupplyWire {
  const loaded = (engineMatters: boolean) =>
    latestWire(
      readings,
      lane,
      'plug',
      (other) =>
        other.plug === 'connected' && (engineMatters ? other.engine === state.engine : isSteady(other)),
    );
  const reading = loaded(true) ?? loaded(false);
  if (reading) return { reading, input: { volts: reading.volts, meter: reading.meter ?? meter } };
  return {
    reading: undefined,
    input: isReturn(lane)
      ? { volts: 0, assumedWithinVolts: soundReturnVolts(profile.measures) }
      : { volts: profile.nominalReferenceVolts, assumedWithinVolts: REFERENCE_TOLERANCE_VOLTS },
  };
}
