import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { workshopStore } from './workshopStore.ts';

export function workshopRoutes(api: Router, db: Database): void {
  const workshops = workshopStore(db);
  serve(api, endpoints.getWorkshop, async () => ok(await workshops.get()));
  serve(api, endpoints.changeWorkshop, ({ body, actor }) => workshops.change(body, actor));
}
