import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Database } from '../db/connect.ts';
import { serve } from '../http/serve.ts';
import { instrumentStore } from './instrumentStore.ts';

export function instrumentRoutes(api: Router, db: Database): void {
  const instruments = instrumentStore(db);
  serve(api, endpoints.listInstruments, async () => ok(await instruments.list()));
  serve(api, endpoints.createInstrument, ({ body, actor }) => instruments.record(body, actor));
}
