export {
  COMPLAINT_ANSWERS,
  roadSaid,
  followUpSaid,
  type ComplaintAnswer,
  type FollowUp,
  type FollowUpId,
  type RoadConditions,
} from './followUp.ts';
