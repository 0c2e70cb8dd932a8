export { checksum4, checksum6, type ChecksumForm } from './checksum.ts';
export {
  fastChannelsOf,
  fastValues,
  RANGE_STEPS,
  VALUE_STEPS,
  valueOfStep,
  type FastChannel,
} from './fastChannels.ts';
export { lineEdges, type LineEdges } from './lineEdges.ts';
export { serialMessages, type SerialMessage } from './serialMessages.ts';
export {
  TELEGRAM_FAULTS,
  telegramsIn,
  type TelegramFault,
  type TelegramLayout,
  type Telegrams,
} from './telegrams.ts';
