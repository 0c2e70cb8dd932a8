export { CaptureBar } from './CaptureBar.tsx';
export { LivePanel } from './LivePanel.tsx';
