import { afterEach, beforeEach, expect, test, vi } from 'vitest';
import { z } from 'zod';
import { fakeStorage } from '../testStorage.ts';
import { ownDraft, storedByJob } from './stored.ts';

const drafts = storedByJob('lettura.sheet', z.object({ draft: z.string() }));

beforeEach(() => {
  vi.stubGlobal('localStorage', fakeStorage());
});
// What one file leaves behind another one finds.
afterEach(() => void vi.unstubAllGlobals());

test('two tabs on two jobs keep both drafts, whoever types last', () => {
  const [first, second] = [drafts.load(), drafts.load()];
  drafts.save({ ...first, a: { draft: 'ref 4.9' } }, first);
  drafts.save({ ...second, b: { draft: 'sig 2.3' } }, second);
  expect(drafts.load()).toEqual({ a: { draft: 'ref 4.9' }, b: { draft: 'sig 2.3' } });
});

test('a key pressed on one job writes that job alone', () => {
  const many = Object.fromEntries(Array.from({ length: 200 }, (_, i) => [`job${i}`, { draft: '' }]));
  drafts.save(many, {});
  const write = vi.spyOn(JSON, 'stringify');
  drafts.save({ ...many, job7: { draft: 's' } }, many);
  expect(write.mock.calls).toEqual([[{ draft: 's' }]]);
  write.mockRestore();
});

test('what an older version kept in one place is taken over, and then stands by job', () => {
  localStorage.setItem('lettura.sheet', JSON.stringify({ a: { draft: 'old' } }));
  expect(drafts.load()).toEqual({ a: { draft: 'old' } });
  expect(localStorage.getItem('lettura.sheet')).toBeNull();
  expect(drafts.load()).toEqual({ a: { draft: 'old' } });
});

test('one that is damaged takes no other along, and one that is gone is gone', () => {
  drafts.save({ a: { draft: 'kept' }, b: { draft: 'lost' } }, {});
  localStorage.setItem('lettura.sheet.b', '{"draft":7');
  expect(drafts.load()).toEqual({ a: { draft: 'kept' } });
  drafts.save({}, { a: { draft: 'kept' } });
  expect(drafts.load()).toEqual({});
});

test('where the storage is full, what an older version kept stays where it is', () => {
  const kept = fakeStorage();
  kept.setItem('lettura.sheet', JSON.stringify({ a: { draft: 'old' } }));
  // A tab that keeps it as well is no place for good.
  vi.stubGlobal('sessionStorage', fakeStorage());
  vi.stubGlobal(
    'localStorage',
    new Proxy(kept, {
      get: (target, name) =>
        name === 'setItem'
          ? () => {
              throw new DOMException('full', 'QuotaExceededError');
            }
          : (Reflect.get(target, name) as unknown),
    }),
  );
  expect(drafts.load()).toEqual({ a: { draft: 'old' } });
  expect(kept.getItem('lettura.sheet')).not.toBeNull();
});

test('two tabs on one job overwrite nothing of each other’s, and a new one takes up what was typed last', () => {
  const [first, second, third] = [fakeStorage(), fakeStorage(), fakeStorage()];
  const inTab = (tab: Storage) => {
    vi.stubGlobal('sessionStorage', tab);
    return ownDraft('lettura.note', z.string(), '');
  };
  inTab(first).save('chafed at the bracket');
  inTab(second).save('corroded plug');
  expect(inTab(first).load()).toBe('chafed at the bracket');
  expect(inTab(second).load()).toBe('corroded plug');
  expect(inTab(third).load()).toBe('corroded plug');
  // Recorded in one tab: gone there, and still in the other, also for whoever comes next.
  inTab(first).clear();
  expect(inTab(first).load()).toBe('');
  expect(inTab(second).load()).toBe('corroded plug');
  inTab(second).clear();
  expect(inTab(second).load()).toBe('');
  expect(inTab(fakeStorage()).load()).toBe('');
});

test('two tabs on the sheet of one job each keep their own entry through a reload', () => {
  const tabs = [fakeStorage(), fakeStorage()];
  const inTab = (tab: number) => void vi.stubGlobal('sessionStorage', tabs[tab]);
  inTab(0);
  drafts.save({ a: { draft: 'ref 4.9' } }, {});
  inTab(1);
  drafts.save({ a: { draft: 'sig 2.3' } }, {});
  expect(drafts.load()).toEqual({ a: { draft: 'sig 2.3' } });
  inTab(0);
  expect(drafts.load()).toEqual({ a: { draft: 'ref 4.9' } });
});
