export { ENGLISH, LANGUAGES, type Language, type Reader } from './reader.ts';
export { quantityWords } from './numbers.ts';
export { wordsFor, type Words } from './words.ts';
export { inWords, type InWords } from './inWords.ts';
