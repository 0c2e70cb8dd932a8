import { v7 } from 'uuid';
import { expect } from 'vitest';
import type { testServer } from './testServer.ts';

type TestServer = Awaited<ReturnType<typeof testServer>>;

/** Opens a job on a machine of its own, through the API, and gives it as it was sent. */
export async function openTestJob(server: TestServer, sensorId: string, over: object = {}) {
  const vehicleId = v7();
  await server.call('POST', '/vehicles', { id: vehicleId, name: 'Reedcutter RC2 boat' });
  const job = {
    id: v7(),
    vehicleId,
    sensorId,
    complaint: 'stalls',
    codes: ['P0107'],
    history: '',
    openedAt: new Date().toISOString(),
    ...over,
  };
  expect((await server.call('POST', '/jobs', job)).status).toBe(201);
  return job;
}

/** A reading of the signal as a browser sends it. */
export const signalReading = (jobId: string, over: object = {}) => ({
  id: v7(),
  jobId,
  kind: 'wire',
  takenAt: new Date().toISOString(),
  enteredText: 'sig plug 2.31',
  state: { engine: 'koeo', plug: 'connected' },
  lane: 'signal',
  place: 'plug',
  volts: 2.31,
  ...over,
});
