export { r134aSaturationKpaAbs, SATURATION_RANGE_CELSIUS } from './saturation.ts';
