export { CaptureBar } from './CaptureBar.tsx';
export { LiveInstrument } from './LiveInstrument.tsx';
