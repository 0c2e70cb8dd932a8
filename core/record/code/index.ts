export { isComplainedOf, limitsOf, pairSeen, type Complaint, type Watched } from './complaint.ts';
export { complaintSaid, standardCode } from './standardCodes.ts';
export {
  CODE_CIRCUITS,
  CODE_SORTS,
  isMakersCode,
  knownCode,
  KNOWN_CODES,
  type CodeCircuit,
  type CodeSort,
  type KnownCode,
} from './codeTable.ts';
export { circuitSaid, readCode, readTogether, type CodeRead } from './readCodes.ts';
