export { isComplainedOf, limitsOf, pairSeen, type Complaint, type Watched } from './complaint.ts';
export { complaintSaid, standardCode } from './standardCodes.ts';
