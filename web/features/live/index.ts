export { captureStore, recordingOf, rowsOf, type CaptureInfo } from './captureStore.ts';
export { LiveInstrument } from './LiveInstrument.tsx';
export { LiveBuffer } from './liveBuffer.ts';
export type { LiveSource } from './liveSource.ts';
export { pacedSource } from './pacedSource.ts';
export { replaySource } from './replaySource.ts';
export { serverSource } from './serverSource.ts';
export { useSource, type LiveView } from './useSource.ts';
