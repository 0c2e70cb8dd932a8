export { VehiclePanel, type VehiclePanelProps } from './VehiclePanel.tsx';
