import { endpoints } from '@lettura/contract';
import { ok } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import { serve } from '../http/serve.ts';
import type { Feed } from './feed.ts';
import { streamFeed } from './streamFeed.ts';

export function feedRoutes(api: Router, feeds: readonly Feed[], stopping?: AbortSignal): void {
  serve(api, endpoints.listFeeds, () => Promise.resolve(ok(feeds.map(({ info }) => info))));
  for (const { info, buffer } of feeds)
    api.get(`/feeds/${info.id}/stream`, (req, res) => streamFeed(buffer, req, res, stopping));
}
