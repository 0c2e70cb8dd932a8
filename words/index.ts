export { ENGLISH, LANGUAGES, type Language, type Reader } from './reader.ts';
export { quantityWords } from './numbers.ts';
export { wordsFor, type Words } from './words.ts';
