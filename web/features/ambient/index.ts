export { AmbientFields } from './AmbientFields.tsx';
export { ambientInText, emptyAmbient, readAmbient, type AmbientText } from './readAmbient.ts';
