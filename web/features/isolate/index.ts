export { IsolatePanel } from './IsolatePanel.tsx';
