export { LANGUAGES, type Language } from './languages.ts';
export { ENGLISH, type Reader } from './reader.ts';
export { quantityWords } from './numbers.ts';
export { wordsFor, type Words } from './words.ts';
export { inWords, type InWords } from './inWords.ts';
export { gaugeUnit, recordWords, type RecordPlace, type RecordWords, type Units } from './record.ts';
export { proofSaid } from './proofInWords.ts';
export { datesIn, day } from './dates.ts';
export { recordedCause } from './causeInRecord.ts';
