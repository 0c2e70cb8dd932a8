export { caseFileOf } from './caseFile.ts';
export { endpoints, health, pathParameters, type Endpoint } from './endpoints.ts';
export { id, instant } from './ids.ts';
export {
  CASE_LETTERS,
  job,
  jobChange,
  jobDetails,
  jobSheet,
  jobSummary,
  newJob,
  newVerdict,
  NOT_PROVEN,
  verdict,
  type Job,
  type JobSheet,
  type JobSummary,
  type JobVerdict,
  type NewJob,
} from './jobs.ts';
export { openApi } from './openApi.ts';
export { problemDetails, problemType, type ProblemDetails } from './problems.ts';
export {
  ambientSource,
  newReading,
  reading,
  standingReadings,
  type NewReading,
  type Reading,
} from './readings.ts';
export { newSensor, sensor, sensorProfile, type Sensor } from './sensors.ts';
export { newVehicle, vehicle, type Vehicle } from './vehicles.ts';
