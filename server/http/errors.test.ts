import express from 'express';
import type { AddressInfo } from 'node:net';
import { pino } from 'pino';
import { expect, test } from 'vitest';
import { errorHandler } from './errors.ts';

/** What a client is told when a route throws this. */
async function toldAfter(error: unknown) {
  const app = express();
  app.get('/', () => {
    throw error;
  });
  app.use(errorHandler(pino({ level: 'silent' })));
  const server = app.listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  const response = await fetch(`http://127.0.0.1:${(server.address() as AddressInfo).port}/`);
  const body = (await response.json()) as { type: string; detail: string; next: string };
  await new Promise((resolve) => server.close(resolve));
  return { status: response.status, ...body };
}
const withCode = (code: string) => Object.assign(new Error('x'), { code });

test.each([
  ['a refused connection', withCode('ECONNREFUSED')],
  ['a database that shuts down', withCode('57P01')],
  [
    'a driver’s wrapper around a lost connection',
    new Error('Failed query', { cause: withCode('ECONNRESET') }),
  ],
  ['a connection that ended', new Error('Connection terminated unexpectedly')],
  ['no connection in time', new Error('timeout exceeded when trying to connect')],
])('%s is a database that is away: nothing is lost, it is sent again', async (_what, error) => {
  const told = await toldAfter(error);
  expect(told).toMatchObject({ status: 503, type: 'urn:lettura:problem:database-away' });
  expect(told.next).toContain('Nothing is lost');
});

test('a bug is told as one, without its insides', async () => {
  const told = await toldAfter(new Error('secret: password=hunter2'));
  expect(told).toMatchObject({ status: 500, type: 'urn:lettura:problem:server-fault' });
  expect(JSON.stringify(told)).not.toContain('hunter2');
});

test('a malformed address is not found', async () => {
  expect(await toldAfter(new URIError('URI malformed'))).toMatchObject({ status: 404 });
});
