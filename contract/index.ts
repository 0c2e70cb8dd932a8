export { asRead } from './asRead.ts';
export { API_VERSION, API_VERSION_HEADER } from './apiVersion.ts';
import './plainMessages.ts';
export { clearing, CLEARING_REFUSALS, vehicleReport, type Clearing, type VehicleReport } from './onBoard.ts';
export { caseFileOf } from './caseFile.ts';
export { endpoints, health, pathParameters, type Endpoint } from './endpoints.ts';
export { id, instant } from './ids.ts';
export {
  CASE_LETTERS,
  job,
  jobChange,
  detailsOf,
  jobDetails,
  jobSheet,
  jobSubject,
  jobSummary,
  machineRecord,
  sensorRecord,
  MOST_FORMER,
  MOST_MACHINE_JOBS,
  newJob,
  newVerdict,
  NOT_PROVEN,
  verdict,
  type FormerSubject,
  type Job,
  type JobSheet,
  type JobSummary,
  type JobVerdict,
  type MachineRecord,
  type SensorRecord,
  type NewJob,
} from './jobs.ts';
export { machineState } from './machineState.ts';
export { message, saidAtTheTime } from './messages.ts';
export { withoutPlace } from './withoutPlace.ts';
export { openApi } from './openApi.ts';
export { problemDetails, problemType, type ProblemDetails } from './problems.ts';
export {
  instrumentsNamed,
  isTakenReading,
  newReading,
  type NewReading,
  reading,
  type Reading,
  standingReadings,
  subjectOf,
  type TakenReading,
} from './readings.ts';
export { ambientSource } from './ambientSource.ts';
export {
  FEED_KINDS,
  MOST_METERS,
  feedEvent,
  feedInfo,
  type FeedEvent,
  type FeedKind,
  type FeedInfo,
  type FeedSample,
  type FeedStatus,
} from './feeds.ts';
export {
  isTooLongToDraw,
  isWithdrawn,
  MOST_RECORDING_BYTES,
  newRecording,
  recordingInfo,
  recordingPictures,
  MOST_MARKS,
  recordingRevision,
  recordingWithNumbers,
  type NewRecording,
  type RecordingInfo,
  type RecordingRevision,
  type RecordingWithNumbers,
} from './recordings.ts';
export {
  calibrationOverdue,
  instrument,
  INSTRUMENT_SORTS,
  newInstrument,
  type Instrument,
  type InstrumentSort,
  type NewInstrument,
} from './instruments.ts';
export {
  MOST_FILE_BYTES,
  sensorFile,
  sensorFileOf,
  sensorFileSchema,
  type FileFault,
  type SensorFile,
} from './sensorFile.ts';
export { readSensorFile, tooLarge, type FileReading } from './readSensorFile.ts';
export { lanesOf, PIN_WIRES, pins, type Pin, type PinWire } from './sensorParts.ts';
export { newSensor, sensor, type NewSensor, type Sensor } from './sensors.ts';
export { MOST_TABLE_POINTS, sensorProfile } from './sensorProfile.ts';
export {
  episodesOf,
  lastEpisode,
  type AmbientReading,
  type Episode,
  type StandingReading,
  type WorkDone,
} from './episodes.ts';
export { followedOn, followUpsOn, isMended, proofOf, worksOn, type ProvenRepair } from './repair.ts';
export {
  MOST_PICTURE_LETTERS,
  workshop,
  workshopChange,
  type Workshop,
  type WorkshopChange,
} from './workshop.ts';
export { newVehicle, vehicle, type Vehicle } from './vehicles.ts';
export { readRecordingFile, recordingFile } from './recordingFile.ts';
export { refusal, refusalOf, refusalsOf } from './refusal.ts';
export {
  JOB_FILE_FORMAT,
  JOB_FILE_VERSION,
  jobFile,
  jobFileSchema,
  jobsTakenIn,
  MOST_JOB_BYTES,
  type JobFile,
  type JobsTakenIn,
} from './jobFile.ts';
export { readJobLine } from './readJobLine.ts';
export { knownGoodRecord, MOST_KNOWN_GOOD_JOBS, provenGood, type KnownGoodRecord } from './knownGood.ts';
