export {
  COMPLAINT_ANSWERS,
  roadSaid,
  followUpSaid,
  MONITOR_IDS,
  monitorSaid,
  type ComplaintAnswer,
  type FollowUp,
  type FollowUpId,
  type MonitorId,
  type RoadConditions,
} from './followUp.ts';
