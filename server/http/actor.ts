import type { Request } from 'express';

/** Who asked: written beside every row. There is no sign-in yet, so that there is one. */
export interface Actor {
  author: string;
}

export const LOCAL_ACTOR: Actor = { author: 'local' };

/** Of a request: the one place that sign-in has to change. */
export const actorOf = (_req: Request): Actor => LOCAL_ACTOR;
