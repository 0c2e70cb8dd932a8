import { endpoints } from '@lettura/contract';
import { say } from '@lettura/core/measure/message';
import { fail, ok, type Result } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { Feed } from '../feeds/feed.ts';
import { FeedFault } from '../feeds/feedFault.ts';
import { serve } from '../http/serve.ts';
import { VehicleFeed } from './vehicleFeed.ts';

/** Reads and clears the codes of the vehicle whose live data is followed. */
export function onBoardRoutes(api: Router, feeds: readonly Feed[]): void {
  const vehicle = feeds.find((feed) => feed instanceof VehicleFeed);
  serve(api, endpoints.readVehicle, () => asked(vehicle, (of) => of.report()));
  serve(api, endpoints.clearVehicleCodes, () => asked(vehicle, (of) => of.clear()));
}

async function asked<T>(
  vehicle: VehicleFeed | undefined,
  ask: (of: VehicleFeed) => Promise<T>,
): Promise<Result<T, 'no-vehicle'>> {
  if (!vehicle)
    return fail('no-vehicle', say('server.no-vehicle-connection'), say('server.set-up-vehicle-connection'));
  try {
    return ok(await ask(vehicle));
  } catch (error) {
    if (!(error instanceof FeedFault)) throw error;
    return fail(
      'no-vehicle',
      say('server.vehicle-does-not-answer', { reason: error.said }),
      say('server.key-on-plug-of-adapter'),
    );
  }
}
