export { WiresPanel } from './WiresPanel.tsx';
export { wiresSlice, wiresStorage } from './wiresSlice.ts';
