/** The three wires that every sensor here has. All volts are against battery negative. */
export const THREE_WIRES = ['reference', 'signal', 'return'] as const;
export type ThreeWire = (typeof THREE_WIRES)[number];
/**
 * Every wire between a control unit and a sensor body that this product knows: with those of bodies that have more than
 * three, a second track or a temperature, the 12 V of a hot element, and the motor of a throttle body.
 */
export const LANES = [
  ...THREE_WIRES,
  'second-signal',
  'battery-feed',
  'second-reference',
  'second-return',
  'motor-plus',
  'motor-minus',
] as const;
export type Lane = (typeof LANES)[number];

/** A return of either track. */
export const isReturn = (lane: Lane): boolean => lane === 'return' || lane === 'second-return';
/** A signal of either track, or the temperature beside it. */
export const isSignal = (lane: Lane): boolean => lane === 'signal' || lane === 'second-signal';
/** One of the two wires of a motor. */
export const isMotor = (lane: Lane): boolean => lane === 'motor-plus' || lane === 'motor-minus';
/** Of a second track, or of the supply of its own that it has. */
export const isSecond = (lane: Lane): boolean =>
  lane === 'second-signal' || lane === 'second-reference' || lane === 'second-return';

/** Where a wire can be probed from outside. */
export const PLACES = ['unit', 'connector', 'plug'] as const;
export type Place = (typeof PLACES)[number];
