/** The first letter of a sentence, and of what stands within one. */
export const upperFirst = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
export const lowerFirst = (text: string): string => text.charAt(0).toLowerCase() + text.slice(1);
export { timesInWords } from './times.ts';
