import {
  API_VERSION,
  API_VERSION_HEADER,
  asRead,
  instrument,
  job,
  jobSheet,
  jobsTakenIn,
  jobSummary,
  clearing,
  knownGoodRecord,
  machineRecord,
  feedInfo,
  reading,
  recordingInfo,
  recordingPictures,
  recordingRevision,
  sensor,
  sensorRecord,
  vehicle,
  vehicleReport,
  verdict,
  workshop,
  type Clearing,
  type Instrument,
  type Job,
  type JobSheet,
  type JobsTakenIn,
  type JobSummary,
  type JobVerdict,
  type KnownGoodRecord,
  type MachineRecord,
  type NewInstrument,
  type NewJob,
  type NewReading,
  type FeedInfo,
  type NewSensor,
  type Reading,
  type RecordingInfo,
  type RecordingRevision,
  type Sensor,
  type SensorFile,
  type SensorRecord,
  type Workshop,
  type WorkshopChange,
  type Vehicle,
  type VehicleReport,
} from '@lettura/contract';
import type { jobChange, jobSubject } from '@lettura/contract';
import { createApi, fetchBaseQuery } from '@reduxjs/toolkit/query/react';
import { z } from 'zod';
import { LANGUAGE } from '../ui/language.ts';

/** Every answer is read by the contract: what it lacks fails here, by name; what it has beyond is passed over. */
export const api = createApi({
  reducerPath: 'api',
  baseQuery: fetchBaseQuery({
    baseUrl: '/api',
    timeout: 10_000,
    headers: { [API_VERSION_HEADER]: String(API_VERSION), 'accept-language': LANGUAGE },
  }),
  tagTypes: ['Instrument', 'Job', 'JobList', 'KnownGood', 'Recording', 'Sensor', 'Vehicle', 'Workshop'],
  refetchOnFocus: true,
  refetchOnReconnect: true,
  endpoints: (build) => ({
    listJobs: build.query<JobSummary[], void>({
      query: () => 'jobs',
      responseSchema: asRead(z.array(jobSummary)),
      providesTags: ['JobList'],
    }),
    jobSheet: build.query<JobSheet, string>({
      // A sheet that nobody touches still says within seconds that the server is away.
      query: (jobId) => ({ url: `jobs/${jobId}`, timeout: 5000 }),
      responseSchema: asRead(jobSheet),
      providesTags: (_sheet, _error, jobId) => [{ type: 'Job', id: jobId }],
    }),
    workshop: build.query<Workshop, void>({
      query: () => 'workshop',
      responseSchema: asRead(workshop),
      providesTags: ['Workshop'],
    }),
    changeWorkshop: build.mutation<Workshop, WorkshopChange>({
      query: (body) => ({ url: 'workshop', method: 'PUT', body, timeout: 30_000 }),
      responseSchema: asRead(workshop),
      // After a refusal too: what stands there now is on the server.
      invalidatesTags: ['Workshop'],
    }),
    listSensors: build.query<Sensor[], void>({
      query: () => 'sensors',
      responseSchema: asRead(z.array(sensor)),
      providesTags: ['Sensor'],
    }),
    listVehicles: build.query<Vehicle[], void>({
      query: () => 'vehicles',
      responseSchema: asRead(z.array(vehicle)),
      providesTags: ['Vehicle'],
    }),
    machine: build.query<MachineRecord, string>({
      query: (vehicleId) => `vehicles/${vehicleId}`,
      responseSchema: asRead(machineRecord),
      // Whatever is done on any job may be of this machine.
      providesTags: ['Vehicle', 'JobList'],
    }),
    sensorRecord: build.query<SensorRecord, string>({
      query: (sensorId) => `sensors/${sensorId}/jobs`,
      responseSchema: asRead(sensorRecord),
      // Whatever is done on any job may be with this sensor.
      providesTags: ['Sensor', 'JobList'],
    }),
    sensorVersions: build.query<Sensor[], string>({
      query: (sensorId) => `sensors/${sensorId}`,
      responseSchema: asRead(z.array(sensor)),
      providesTags: ['Sensor'],
    }),
    knownGood: build.query<KnownGoodRecord, string>({
      query: (sensorId) => `sensors/${sensorId}/known-good`,
      responseSchema: asRead(knownGoodRecord),
      // Up to two hundred jobs are looked through for it: not after each reading, of which none is of another job.
      providesTags: ['KnownGood'],
    }),
    importSensors: build.mutation<{ added: number; known: number }, SensorFile>({
      query: (body) => ({ url: 'sensors/import', method: 'POST', body, timeout: 60_000 }),
      responseSchema: asRead(z.object({ added: z.int(), known: z.int() })),
      invalidatesTags: ['Sensor'],
    }),
    listInstruments: build.query<Instrument[], void>({
      query: () => 'instruments',
      responseSchema: asRead(z.array(instrument)),
      providesTags: ['Instrument'],
    }),
    createInstrument: build.mutation<Instrument, NewInstrument>({
      query: (body) => ({ url: 'instruments', method: 'POST', body }),
      responseSchema: asRead(instrument),
      invalidatesTags: ['Instrument'],
    }),
    createSensor: build.mutation<Sensor, NewSensor>({
      query: (body) => ({ url: 'sensors', method: 'POST', body }),
      responseSchema: asRead(sensor),
      invalidatesTags: ['Sensor'],
    }),
    createVehicle: build.mutation<Vehicle, Vehicle>({
      query: (body) => ({ url: 'vehicles', method: 'POST', body }),
      responseSchema: asRead(vehicle),
      invalidatesTags: ['Vehicle'],
    }),
    createJob: build.mutation<Job, NewJob>({
      query: (body) => ({ url: 'jobs', method: 'POST', body }),
      responseSchema: asRead(job),
      invalidatesTags: ['JobList'],
    }),
    changeJob: build.mutation<Job, { jobId: string; change: z.infer<typeof jobChange> }>({
      query: ({ jobId, change }) => ({ url: `jobs/${jobId}/details`, method: 'PUT', body: change }),
      responseSchema: asRead(job),
      // After a refusal too: the text to look at is the newer one on the server.
      invalidatesTags: (_job, _error, { jobId }) => ['JobList', 'KnownGood', { type: 'Job', id: jobId }],
    }),
    changeSubject: build.mutation<Job, { jobId: string; change: z.infer<typeof jobSubject> }>({
      query: ({ jobId, change }) => ({ url: `jobs/${jobId}/subject`, method: 'PUT', body: change }),
      responseSchema: asRead(job),
      invalidatesTags: (_job, _error, { jobId }) => ['JobList', 'KnownGood', { type: 'Job', id: jobId }],
    }),
    deleteJob: build.mutation<Job, string>({
      query: (jobId) => ({ url: `jobs/${jobId}`, method: 'DELETE' }),
      responseSchema: asRead(job),
      invalidatesTags: (_job, _error, jobId) => ['JobList', { type: 'Job', id: jobId }],
    }),
    restoreJob: build.mutation<Job, string>({
      query: (jobId) => ({ url: `jobs/${jobId}/restore`, method: 'POST' }),
      responseSchema: asRead(job),
      invalidatesTags: (_job, _error, jobId) => ['JobList', { type: 'Job', id: jobId }],
    }),
    takeInJobs: build.mutation<JobsTakenIn, File>({
      // The file itself is sent, piece by piece: it may be larger than a page can hold.
      query: (body) => ({
        url: 'job-files',
        method: 'POST',
        body,
        headers: { 'content-type': 'application/x-ndjson' },
        timeout: 600_000,
      }),
      responseSchema: asRead(jobsTakenIn),
      invalidatesTags: ['Job', 'JobList', 'KnownGood', 'Instrument', 'Recording', 'Sensor', 'Vehicle'],
    }),
    recordReading: build.mutation<Reading, NewReading>({
      query: (body) => ({ url: `jobs/${body.jobId}/readings`, method: 'POST', body }),
      responseSchema: asRead(reading),
      invalidatesTags: ['JobList'],
    }),
    listFeeds: build.query<FeedInfo[], void>({
      query: () => 'feeds',
      responseSchema: asRead(z.array(feedInfo)),
    }),
    // A unit may ask for patience, again and again.
    readVehicle: build.mutation<VehicleReport, void>({
      query: () => ({ url: 'on-board/report', method: 'POST', timeout: 120_000 }),
      responseSchema: asRead(vehicleReport),
    }),
    clearVehicleCodes: build.mutation<Clearing, void>({
      query: () => ({
        url: 'on-board/clear',
        method: 'POST',
        body: { consequencesRead: true },
        timeout: 30_000,
      }),
      responseSchema: asRead(clearing),
    }),
    listRecordings: build.query<RecordingInfo[], void>({
      query: () => 'recordings',
      responseSchema: asRead(z.array(recordingInfo)),
      providesTags: ['Recording'],
    }),
    // What a fault was found in is shaded, so another reading of it is another picture.
    recordingPictures: build.query<string[], string>({
      query: (recordingId) => `recordings/${recordingId}/pictures`,
      rawResponseSchema: asRead(recordingPictures),
      transformResponse: ({ pictures }: z.infer<typeof recordingPictures>) => pictures,
      providesTags: ['Recording'],
    }),
    reviseRecording: build.mutation<RecordingRevision, RecordingRevision>({
      query: (body) => ({ url: `recordings/${body.recordingId}/revisions`, method: 'POST', body }),
      responseSchema: asRead(recordingRevision),
      invalidatesTags: (_revision, _error, { jobId }) => ['Recording', { type: 'Job', id: jobId }],
    }),
    recordVerdict: build.mutation<JobVerdict, JobVerdict>({
      // The server weighs it by itself, in a thread that may have to be begun: on an old machine that takes its time.
      query: (body) => ({ url: `jobs/${body.jobId}/verdicts`, method: 'POST', body, timeout: 60_000 }),
      responseSchema: asRead(verdict),
      invalidatesTags: (_verdict, _error, { jobId }) => ['JobList', 'KnownGood', { type: 'Job', id: jobId }],
    }),
  }),
});

export const {
  useChangeJobMutation,
  useChangeSubjectMutation,
  useCreateInstrumentMutation,
  useChangeWorkshopMutation,
  useClearVehicleCodesMutation,
  useReadVehicleMutation,
  useCreateJobMutation,
  useImportSensorsMutation,
  useListInstrumentsQuery,
  useSensorRecordQuery,
  useSensorVersionsQuery,
  useCreateSensorMutation,
  useCreateVehicleMutation,
  useDeleteJobMutation,
  useJobSheetQuery,
  useListJobsQuery,
  useListSensorsQuery,
  useListFeedsQuery,
  useListRecordingsQuery,
  useRecordingPicturesQuery,
  useKnownGoodQuery,
  useListVehiclesQuery,
  useMachineQuery,
  useRecordVerdictMutation,
  useReviseRecordingMutation,
  useRestoreJobMutation,
  useTakeInJobsMutation,
  useWorkshopQuery,
} = api;
