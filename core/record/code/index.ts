export { isComplainedOf, limitsOf, pairSeen, type Complaint, type Watched } from './complaint.ts';
export { complaintWords, standardCode } from './standardCodes.ts';
