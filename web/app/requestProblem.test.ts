import { expect, test } from 'vitest';
import { requestProblem } from './requestProblem.ts';
import { inWords } from '@lettura/words';

test('a problem document is told as it was sent, and a refusal is final', () => {
  const data = JSON.stringify({
    type: 'urn:lettura:problem:job-deleted',
    title: 'The job was deleted',
    status: 410,
    detail: 'This job was deleted.',
    next: 'Restore it.',
  });
  expect(inWords(requestProblem({ status: 'PARSING_ERROR', data }))).toEqual({
    code: 'job-deleted',
    message: 'This job was deleted.',
    next: 'Restore it.',
    passing: false,
  });
});

test.each([
  [{ status: 'FETCH_ERROR', error: 'Failed to fetch' }],
  [{ status: 'TIMEOUT_ERROR' }],
  [{ status: 502, data: '<html>Bad gateway</html>' }],
  [undefined],
])('%j passes by itself: what was entered is kept and sent again', (error) => {
  expect(requestProblem(error)).toMatchObject({ code: 'server-away', passing: true });
});

test('a refusal without a document is not tried for ever', () => {
  expect(requestProblem({ status: 403, data: 'no' })).toMatchObject({ passing: false });
});

test('a server of another version keeps what was entered waiting, and says to reload', () => {
  const data = JSON.stringify({
    type: 'urn:lettura:problem:other-version',
    title: 'Another version',
    status: 426,
    detail: 'This page is of another version than the server.',
    next: 'Reload the page.',
  });
  expect(requestProblem({ status: 426, data })).toMatchObject({ code: 'other-version', passing: true });
});
