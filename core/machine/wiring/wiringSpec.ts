import type { SentIn } from '../../measure/transfer/index.ts';
import type { Lane } from '../places/index.ts';

/** What stands at the control unit's end of a wire. Ohms may be infinite: no such resistor. */
export type UnitEnd =
  /** A sensor supply: `rail` is its number. */
  | { kind: 'rail'; rail: number }
  | { kind: 'ground' }
  /** A measuring input; pulled towards the unit's own 5 V, its ground, both or neither. */
  | { kind: 'input'; pullUpOhms: number; pullDownOhms: number }
  /** Battery positive through relay and fuse, while the key is on. */
  | { kind: 'battery' }
  /** A motor driver at rest. */
  | { kind: 'driver' };

export interface WireSpec {
  wire: Lane;
  end: UnitEnd;
}

/** A sensor supply of the unit. Other sensors that hang on it are its neighbours, each as the ohms it draws with. */
export interface Rail {
  volts: number;
  ohms: number;
  limitAmps: number;
  neighbourOhms: readonly number[];
}

export type SensorModel =
  /** An active stage; also a digital transmitter, whose stage goes to and fro between its rails. */
  | {
      kind: 'stage';
      feed: 'reference' | 'battery-feed';
      /** Of the body across its supply pins. */
      supplyOhms: number;
      outputOhms: number;
      lowestShare: number;
      highestShare: number;
      /** What its line carries is no voltage. */
      sends?: SentIn;
    }
  | { kind: 'track'; trackOhms: number; wiperOhms: number }
  /** Two tracks moved by one shaft; with feeds of their own where the plug has them. */
  | { kind: 'two-tracks'; trackOhms: number; wiperOhms: number };

/** A sensor, its plug and the control unit behind it, sound. */
export interface WiringSpec {
  wires: readonly WireSpec[];
  rails: readonly Rail[];
  sensor: SensorModel;
  /** A thermistor between second signal and return in the same body. */
  thermistor: boolean;
  /** Of one wire from the unit to the inline connector, and as much again on to the plug. */
  segmentOhms: number;
  batteryVolts: number;
  /** The unit's own 5 V, which feeds its pull-ups and which its converter measures by. */
  unitVolts: number;
}
