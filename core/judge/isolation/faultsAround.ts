import { keyOn, type MachineState } from '../../machine/places/index.ts';
import { FAULT_KINDS, faultOf, type Fault, type Situation } from '../../machine/fault/index.ts';
import { isSent, valueAtNominal } from '../../measure/transfer/index.ts';
import { type Wiring } from '../../machine/wiring/index.ts';
import { type IsolatedSensor } from './isolatedSensor.ts';

const ROOM_CELSIUS = 20;

export interface VoltBand {
  lowest: number;
  highest: number;
}

/** Half the width of a band, in volts; 0 where there is none. */
export const halfOf = (band: VoltBand | undefined): number => (band ? (band.highest - band.lowest) / 2 : 0);

/** What the sensor meets is what a sound signal says; where nobody knows, the middle of its range. */
export function situationOf(
  { profile }: IsolatedSensor,
  state: MachineState,
  expected: VoltBand | undefined,
): Situation {
  const { lowest, highest } = profile;
  const middle =
    expected && !isSent(profile)
      ? valueAtNominal((expected.lowest + expected.highest) / 2, profile)
      : (lowest + highest) / 2;
  return {
    keyOn: keyOn(state),
    plugged: state.plug === 'connected',
    trueValue: middle,
    restingValue: middle,
    celsius: ROOM_CELSIUS,
  };
}

/** What these tests are for: the wires between plug and unit, and the unit itself; at both ends of each size. */
export function faultsAround(sensor: IsolatedSensor, { spec }: Wiring): Fault[] {
  const subject = { family: sensor.family, wiring: spec };
  return FAULT_KINDS.filter(
    ({ class: sort, id }) => (sort === 'wire' || sort === 'control-unit') && id !== 'two-wires-open',
  ).flatMap((kind) =>
    kind
      .sites(subject)
      .flatMap((site) => (kind.size ? [0, 0.5, 1] : [0]).map((at) => faultOf(kind, site, at))),
  );
}
