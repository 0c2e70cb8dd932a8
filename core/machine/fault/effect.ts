import type { Lane } from '../places/index.ts';
import type { PartName, Rail, WirePoint } from '../wiring/index.ts';

/** A place that two things can touch at. */
export type Touch = { wire: Lane; point: WirePoint } | 'battery-positive' | 'chassis';

/** What the sensor's element does wrong, before the network sees it. */
export type ElementEffect =
  /** It no longer follows: its output stays at this share of the supply. */
  | { does: 'stuck'; share: number }
  | { does: 'shifted'; volts: number }
  /** Its output moves by this much of what it should, about its resting point. */
  | { does: 'stretched'; factor: number }
  /** The wiper loses its track while it stands in this part of the travel. */
  /** Where the travel has brought the first wiper to such a share of its track. */
  | { does: 'dead-spot'; track: 1 | 2; fromShare: number; toShare: number }
  /** Another part than the circuit is made for: a steeper or flatter curve from another foot. */
  | { does: 'other-curve'; factor: number; volts: number }
  /** A digital part: its line goes to and fro between its rails, up for this share of the time. */
  | { does: 'digital'; highShare: number }
  /** A part that says its value in another way than the one before it: a voltage, or pulses of another kind. */
  | { does: 'other-output' };

/** What happens to the quantity before the sensor meets it; the sensor stays honest. */
export type QuantityEffect =
  /**
   * Between resting value and true value by this share: 0 is a blocked hose, an arm that hangs loose, air that goes past.
   * At its source, it is the engine that makes less of it, and a gauge there sees it too.
   */
  | { does: 'weakened'; reaches: number; atSource?: boolean }
  /** It meets one value whatever goes on: at this share of the range of the sensor. */
  | { does: 'lies'; share: number }
  /** Hoses on the wrong ports. */
  | { does: 'reversed' };

/**
 * Between two shares of the way that its signal goes over the range, the element stays at a third: at one end of them where it sticks
 * on its way, or at the nearer one where it goes no farther.
 */
export interface CurveEffect {
  fromShare: number;
  toShare: number;
  atShare: number;
}

export type Effect =
  | { on: 'part'; part: PartName; addOhms: number }
  | { on: 'part'; part: PartName; setOhms: number }
  | { on: 'touch'; a: Touch; b: Touch; ohms: number }
  | { on: 'rail'; rail: number; change: Partial<Rail> }
  | ({ on: 'element' } & ElementEffect)
  | ({ on: 'curve' } & CurveEffect)
  | ({ on: 'quantity' } & QuantityEffect)
  /** The unit's converter no longer follows its pin. */
  | { on: 'converter'; wire: Lane; reads: number };
