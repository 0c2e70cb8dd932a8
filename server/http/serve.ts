import { pathParameters, type Endpoint } from '@lettura/contract';
import type { Result } from '@lettura/core/measure/problem';
import type { Router } from 'express';
import type { z } from 'zod';
import { actorOf, type Actor } from './actor.ts';
import { storable } from './storable.ts';
import { sendProblem, type ProblemCode } from './problem.ts';

/** What was asked for, and whether this request made it. */
export interface Recorded<T> {
  record: T;
  created: boolean;
}

type Body<E extends Endpoint> = E extends { body: z.ZodType } ? z.infer<E['body']> : undefined;
type Params<E extends Endpoint> = {
  [
    Name in keyof typeof pathParameters as E['path'] extends `${string}:${Name}${string}` ? Name : never
  ]: string;
};
type Answer<E extends Endpoint> = E extends { creates: true }
  ? Recorded<z.infer<E['response']>>
  : z.infer<E['response']>;

/** One route from its entry in the contract: path and body are checked, the answer or the problem is sent. */
export function serve<E extends Endpoint>(
  router: Router,
  endpoint: E,
  answer: (request: {
    params: Params<E>;
    body: Body<E>;
    actor: Actor;
  }) => Promise<Result<Answer<E>, ProblemCode>>,
): void {
  router[endpoint.method](endpoint.path, async (req, res) => {
    const params = Object.fromEntries(
      Object.entries(req.params).map(([name, value]) => [
        name,
        pathParameters[name as keyof typeof pathParameters].parse(value, {
          error: () => 'This is not a UUID v7.',
        }),
      ]),
    ) as Params<E>;
    const kept = endpoint.body ? storable(req.body) : undefined;
    if (kept && !kept.ok) return sendProblem(res, kept.problem);
    const body = endpoint.body?.parse(req.body) as Body<E>;
    const result = await answer({ params, body, actor: actorOf(req) });
    if (!result.ok) return sendProblem(res, result.problem);
    if (!endpoint.creates) return void res.json(result.value);
    const { record, created } = result.value as Recorded<unknown>;
    res.status(created ? 201 : 200).json(record);
  });
}
