import { LANES, PLACES, type MachineState } from '@lettura/core/machine/places';
import { expect, test } from 'vitest';
import { SHORTCUTS, TERM_IDS } from '../../ui/help/terms.ts';
import { t } from '../../ui/words.ts';
import { termsFor } from './termsFor.ts';

const KOEO: MachineState = { engine: 'koeo', plug: 'connected' };

test('where one reads stand the words of that place, each once', () => {
  expect(termsFor({ kind: 'wire', lane: 'signal', place: 'plug' }, KOEO)).toEqual([
    'signal',
    'back-probe',
    'koeo',
  ]);
  expect(
    termsFor({ kind: 'wire', lane: 'reference', place: 'plug' }, { engine: 'koeo', plug: 'unplugged' }),
  ).toEqual(['reference', 'shared-rail', 'plug-off', 'pull', 'ghost', 'koeo']);
  expect(termsFor({ kind: 'scan' }, KOEO)).toEqual(['live-data']);
  expect(termsFor({ kind: 'gauge', tap: 'manifold' }, KOEO)).toEqual(['pressure-basis']);
  for (const lane of LANES)
    for (const place of PLACES)
      for (const plug of ['connected', 'unplugged'] as const) {
        const terms = termsFor({ kind: 'wire', lane, place }, { engine: 'idle', plug });
        expect(new Set(terms).size).toBe(terms.length);
      }
});

test('every word has a name of its own and says something, and every key what it does', () => {
  const names = TERM_IDS.map((id) => t(`help.${id}.name`));
  expect(new Set(names).size).toBe(names.length);
  for (const id of TERM_IDS) {
    const means = t(`help.${id}.means`);
    // A whole sentence, and none that one scrolls through on a phone.
    expect(means, id).toMatch(/^[A-Z±].*\.$/u);
    expect(means.length, id).toBeLessThan(280);
  }
  for (const { does } of SHORTCUTS) expect(t(does)).not.toBe(does);
});
