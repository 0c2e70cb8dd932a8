import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { knownGoodOfSensor } from './knownGood.ts';
import { sensorRecordOf } from './sensorRecord.ts';
import { sensorStore } from './sensorStore.ts';

export function sensorRoutes(api: Router, db: Database): void {
  const sensors = sensorStore(db);
  serve(api, endpoints.listSensors, async () => ok(await sensors.list()));
  serve(api, endpoints.createSensor, ({ body, actor }) => sensors.record(body, actor));
  serve(api, endpoints.getSensor, ({ params }) => sensors.versions(params.sensorId));
  serve(api, endpoints.knownGood, async ({ params }) => ok(await knownGoodOfSensor(db, params.sensorId)));
  serve(api, endpoints.getSensorRecord, ({ params }) => sensorRecordOf(db, params.sensorId));
  serve(api, endpoints.importSensors, ({ body, actor }) => sensors.importFile(body, actor));
}
