export { checksum4, checksum6, type ChecksumForm } from './checksum.ts';
export { fastChannelsOf, fastValues, RANGE_STEPS, valueOfStep, type FastChannel } from './fastChannels.ts';
export { framePartsOf, type FramePart } from './frameParts.ts';
export { isOnlyChanges } from './lineLevels.ts';
export { lineEdges, type LineEdges } from './lineEdges.ts';
export { serialMessages, type SerialMessage } from './serialMessages.ts';
export {
  NIBBLE_ZERO_TICKS,
  TELEGRAM_FAULTS,
  telegramsIn,
  type TelegramFault,
  type TelegramLayout,
  type Telegrams,
} from './telegrams.ts';
