import { z } from 'zod';
import { feedInfo } from './feeds.ts';
import { id } from './ids.ts';
import {
  job,
  jobChange,
  jobSheet,
  jobSubject,
  jobSummary,
  machineRecord,
  newJob,
  newVerdict,
  sensorRecord,
  verdict,
} from './jobs.ts';
import { jobFile } from './jobFile.ts';
import { knownGoodRecord } from './knownGood.ts';
import { clearing, clearingAsked, vehicleReport } from './onBoard.ts';
import { newReading, reading } from './readings.ts';
import { instrument, newInstrument } from './instruments.ts';
import {
  newRecording,
  recordingInfo,
  recordingPictures,
  recordingRevision,
  recordingWithNumbers,
} from './recordings.ts';
import { sensorFile } from './sensorFile.ts';
import { newSensor, sensor } from './sensors.ts';
import { newVehicle, vehicle } from './vehicles.ts';
import { workshop, workshopChange } from './workshop.ts';

export interface Endpoint {
  method: 'get' | 'post' | 'put' | 'delete';
  /** Below /api, in Express form. */
  path: string;
  summary: string;
  body?: z.ZodType;
  response: z.ZodType;
  creates?: true;
}

export const health = z.strictObject({ status: z.literal('ok'), database: z.literal('ok') });

/** Every route of the API: the server is built from this list, and so is its OpenAPI description. */
export const endpoints = {
  health: {
    method: 'get',
    path: '/health',
    summary: 'Whether the server and its database answer',
    response: health,
  },
  listSensors: {
    method: 'get',
    path: '/sensors',
    summary: 'All sensors, in their newest version',
    response: z.array(sensor),
  },
  createSensor: {
    method: 'post',
    path: '/sensors',
    summary: 'Add a sensor, or a new version of one',
    body: newSensor,
    response: sensor,
    creates: true,
  },
  getSensor: {
    method: 'get',
    path: '/sensors/:sensorId',
    summary: 'All versions of the sensor that this is a version of, newest first',
    response: z.array(sensor),
  },
  knownGood: {
    method: 'get',
    path: '/sensors/:sensorId/known-good',
    summary: 'What was read with this version of a sensor on machines that were proven good',
    response: knownGoodRecord,
  },
  getSensorRecord: {
    method: 'get',
    path: '/sensors/:sensorId/jobs',
    summary: 'One sensor with the newest jobs on it, in whatever version, and how many there are in all',
    response: sensorRecord,
  },
  importSensors: {
    method: 'post',
    path: '/sensors/import',
    summary: 'Add all sensors of a file, or none',
    body: sensorFile,
    response: z.strictObject({ added: z.int(), known: z.int() }),
  },
  listInstruments: {
    method: 'get',
    path: '/instruments',
    summary: 'All instruments, in their newest version',
    response: z.array(instrument),
  },
  createInstrument: {
    method: 'post',
    path: '/instruments',
    summary: 'Add an instrument, or a new version of one',
    body: newInstrument,
    response: instrument,
    creates: true,
  },
  listVehicles: {
    method: 'get',
    path: '/vehicles',
    summary: 'All vehicles and machines',
    response: z.array(vehicle),
  },
  createVehicle: {
    method: 'post',
    path: '/vehicles',
    summary: 'Add a vehicle',
    body: newVehicle,
    response: vehicle,
    creates: true,
  },
  getMachine: {
    method: 'get',
    path: '/vehicles/:vehicleId',
    summary: 'One vehicle or machine with its newest jobs, and how many there are in all',
    response: machineRecord,
  },
  getWorkshop: {
    method: 'get',
    path: '/workshop',
    summary: 'Name, address and picture of the workshop, for the head of a report',
    response: workshop,
  },
  changeWorkshop: {
    method: 'put',
    path: '/workshop',
    summary: 'Change the head of the reports',
    body: workshopChange,
    response: workshop,
  },
  listJobs: {
    method: 'get',
    path: '/jobs',
    summary: 'All jobs, newest first',
    response: z.array(jobSummary),
  },
  createJob: {
    method: 'post',
    path: '/jobs',
    summary: 'Open a job',
    body: newJob,
    response: job,
    creates: true,
  },
  getJob: {
    method: 'get',
    path: '/jobs/:jobId',
    summary: 'One job with all that belongs to it',
    response: jobSheet,
  },
  changeJob: {
    method: 'put',
    path: '/jobs/:jobId/details',
    summary: 'Change complaint, codes and history',
    body: jobChange,
    response: job,
  },
  changeSubject: {
    method: 'put',
    path: '/jobs/:jobId/subject',
    summary: 'Say that a job is of another machine, or of another sensor',
    body: jobSubject,
    response: job,
  },
  deleteJob: {
    method: 'delete',
    path: '/jobs/:jobId',
    summary: 'Delete a job; its record is kept and can be restored',
    response: job,
  },
  restoreJob: {
    method: 'post',
    path: '/jobs/:jobId/restore',
    summary: 'Restore a deleted job',
    response: job,
  },
  jobFile: {
    method: 'get',
    path: '/jobs/:jobId/file',
    summary:
      'One job with all of its record, as a file; all jobs are at /job-files, one in a line, and such lines are taken in there',
    response: jobFile,
  },
  recordReading: {
    method: 'post',
    path: '/jobs/:jobId/readings',
    summary: 'Record, correct or withdraw a reading',
    body: newReading,
    response: reading,
    creates: true,
  },
  recordSweep: {
    method: 'post',
    path: '/jobs/:jobId/recordings',
    summary: 'Keep a recording on a job',
    body: newRecording,
    response: recordingInfo,
    creates: true,
  },
  getRecording: {
    method: 'get',
    path: '/recordings/:recordingId',
    summary: 'One recording with its numbers',
    response: recordingWithNumbers,
  },
  drawRecording: {
    method: 'get',
    path: '/recordings/:recordingId/pictures',
    summary: 'A recording as pictures for a report, one a channel; none where it is too long to be drawn',
    response: recordingPictures,
  },
  reviseRecording: {
    method: 'post',
    path: '/recordings/:recordingId/revisions',
    summary: 'Say what the channels of a recording are, withdraw it, or bring it back',
    body: recordingRevision,
    response: recordingRevision,
    creates: true,
  },
  listRecordings: {
    method: 'get',
    path: '/recordings',
    summary: 'All recordings without their numbers, newest first',
    response: z.array(recordingInfo),
  },
  readVehicle: {
    method: 'post',
    path: '/on-board/report',
    summary: 'Asks the connected vehicle for its codes, readiness and freeze frame',
    response: vehicleReport,
  },
  clearVehicleCodes: {
    method: 'post',
    path: '/on-board/clear',
    summary: 'Has the connected vehicle clear its codes, which loses readiness and freeze frame',
    body: clearingAsked,
    response: clearing,
  },
  listFeeds: {
    method: 'get',
    path: '/feeds',
    summary: 'The live feeds of this server; each streams at /feeds/{id}/stream as server-sent events',
    response: z.array(feedInfo),
  },
  recordVerdict: {
    method: 'post',
    path: '/jobs/:jobId/verdicts',
    summary: 'Record a verdict; refused while its proof is missing',
    body: newVerdict,
    response: verdict,
    creates: true,
  },
} as const satisfies Record<string, Endpoint>;

export const pathParameters = { jobId: id, sensorId: id, recordingId: id, vehicleId: id } as const;
