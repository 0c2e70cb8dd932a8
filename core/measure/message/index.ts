export {
  list,
  NOTHING_TO_SAY,
  sameMessage,
  say,
  verbatim,
  type Message,
  type MessageList,
  type Value,
  type Verbatim,
} from './message.ts';
export { fixed, measured, ohms, pressure, times, volts, type FixedUnit, type Quantity } from './quantities.ts';
