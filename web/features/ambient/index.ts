export { AmbientFields } from './AmbientFields.tsx';
export { readAmbient, type AmbientText } from './readAmbient.ts';
