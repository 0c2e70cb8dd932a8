import { exampleCase } from '../../core/judge/checks/exampleCase.ts';
import { missingProof } from '@lettura/core/judge/weighing';
import { afterAll, expect, test } from 'vitest';
import { endProofs, missingProofApart } from './proof.ts';

afterAll(endProofs);
const wires = ['reference', 'signal', 'return'] as const;
const state = { engine: 'koeo', plug: 'connected' } as const;
const wire = (id: string, lane: (typeof wires)[number], volts: number, over: object = {}) =>
  ({ kind: 'wire', id, lane, place: 'plug', volts, state: { ...state, ...over } }) as const;

test('a thread of its own comes to what the weighing here comes to, also twice and at once', async () => {
  const caseFile = exampleCase([
    wire('a', 'signal', 4),
    wire('b', 'signal', 1.66, { engine: 'idle' }),
    wire('c', 'reference', 4.99),
    wire('d', 'return', 0.01),
  ]);
  const causes = ['nothing', 'sensor', 'wire signal:second'] as const;
  const apart = await Promise.all(causes.map((cause) => missingProofApart({ cause, caseFile, wires })));
  expect(apart).toEqual(causes.map((cause) => missingProof(cause, caseFile, wires)));
  expect(apart[1]).toBeDefined();
  // Ended and asked again, it begins anew.
  await endProofs();
  expect(await missingProofApart({ cause: 'sensor', caseFile, wires })).toEqual(apart[1]);
});
