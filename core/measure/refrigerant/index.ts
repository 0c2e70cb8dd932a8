export { REFRIGERANTS, SATURATION_RANGE_CELSIUS, saturationKpaAbs, type Refrigerant } from './saturation.ts';
