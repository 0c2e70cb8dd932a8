import { expect, test } from 'vitest';
import type { Candidate } from '../outlook/candidates.ts';
import { toolsFor } from './atHand.ts';

const IDLE = { engine: 'idle', plug: 'connected' } as const;
const OFF = { engine: 'koeo', plug: 'unplugged' } as const;
const signal = { kind: 'wire', lane: 'signal', place: 'plug' } as const;
const pumped = { ...IDLE, engine: 'koeo', stimulus: { kind: 'pump', kpaAboveAmbient: -50 } } as const;

test.each<[what: string, readings: Pick<Candidate, 'target' | 'state'>[], tools: string[]]>([
  ['nothing to read', [], []],
  ['on the running engine', [{ target: signal, state: IDLE }], ['meter', 'back-probe']],
  ['with the plug off no back-probe', [{ target: signal, state: OFF }], ['meter']],
  [
    'each once, in one order',
    [
      { target: { kind: 'scan' }, state: IDLE },
      { target: { kind: 'gauge', tap: 'manifold' }, state: IDLE },
      { target: signal, state: pumped },
      { target: signal, state: IDLE },
    ],
    ['meter', 'back-probe', 'gauge', 'hand-pump', 'scan-tool'],
  ],
  ['a look needs eyes', [{ target: { kind: 'observation', observation: 'hose' }, state: OFF }], []],
  ['a sweep needs a logger', [{ target: { kind: 'sweep' }, state: IDLE }], ['back-probe', 'logger']],
  [
    'what is clipped on as well',
    [
      {
        target: { kind: 'scan' },
        state: {
          ...OFF,
          harness: {
            attachments: [
              { kind: 'jumper', from: 'battery-negative', to: { lane: 'signal', place: 'plug' } },
            ],
            neighboursOff: [],
            wiggled: false,
          },
        },
      },
    ],
    ['scan-tool', 'jumper'],
  ],
])('%s', (_what, readings, tools) => {
  expect(toolsFor(readings)).toEqual(tools);
});
