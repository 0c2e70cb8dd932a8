export { Help } from './Help.tsx';
export { Term } from './Term.tsx';
export type { TermId } from './terms.ts';
