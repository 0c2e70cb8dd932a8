import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { machineRecordOf } from './machineRecord.ts';
import { vehicleStore } from './vehicleStore.ts';

export function vehicleRoutes(api: Router, db: Database): void {
  const vehicles = vehicleStore(db);
  serve(api, endpoints.listVehicles, async () => ok(await vehicles.list()));
  serve(api, endpoints.getMachine, ({ params }) => machineRecordOf(db, params.vehicleId));
  serve(api, endpoints.createVehicle, ({ body, actor }) => vehicles.record(body, actor));
}
