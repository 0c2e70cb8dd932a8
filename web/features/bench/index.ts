export { BenchPanel } from './BenchPanel.tsx';
