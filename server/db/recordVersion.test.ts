import { expect, test } from 'vitest';
import { recordVersion, type VersionedTable } from './recordVersion.ts';

interface Row {
  id: string;
  lineageId: string;
  version: number;
  name: string;
}

/** A table as the database keeps it: one row an id, one row a place in a lineage. */
function table(beforeInsert: () => void = () => undefined) {
  const rows: Row[] = [];
  const kept: VersionedTable<Row> = {
    find: (id) => Promise.resolve(rows.find((row) => row.id === id)),
    insert: (row) => {
      beforeInsert();
      const taken = rows.some(
        ({ id, lineageId, version }) =>
          id === row.id || (lineageId === row.lineageId && version === row.version),
      );
      if (taken) return Promise.resolve(undefined);
      rows.push(row);
      return Promise.resolve(row);
    },
  };
  return { rows, kept };
}

test('the first is version 1 of its own line, the next follows it', async () => {
  const { kept, rows } = table();
  await recordVersion({ id: 'a', name: 'Tern' }, kept);
  await recordVersion({ id: 'b', name: 'Tern, new curve', replaces: 'a' }, kept);
  await recordVersion({ id: 'c', name: 'Tern, third', replaces: 'b' }, kept);
  expect(rows.map(({ id, lineageId, version }) => [id, lineageId, version])).toEqual([
    ['a', 'a', 1],
    ['b', 'a', 2],
    ['c', 'a', 3],
  ]);
  expect(rows.some((row) => 'replaces' in row)).toBe(false);
});

test('the same again changes nothing; another record under a taken id is refused', async () => {
  const { kept, rows } = table();
  const given = { id: 'a', name: 'Tern' };
  expect(await recordVersion(given, kept)).toMatchObject({ ok: true, value: { created: true } });
  expect(await recordVersion(given, kept)).toMatchObject({ ok: true, value: { created: false } });
  expect(await recordVersion({ ...given, name: 'Gull' }, kept)).toMatchObject({
    problem: { code: 'id-conflict' },
  });
  expect(rows).toHaveLength(1);
});

test('of two people who change the same version, the second is told and nothing of hers is half kept', async () => {
  const { kept, rows } = table();
  await recordVersion({ id: 'a', name: 'Tern' }, kept);
  expect(await recordVersion({ id: 'b', name: 'his', replaces: 'a' }, kept)).toMatchObject({ ok: true });
  expect(await recordVersion({ id: 'c', name: 'hers', replaces: 'a' }, kept)).toMatchObject({
    problem: { code: 'changed-elsewhere' },
  });
  expect(rows.map(({ name }) => name)).toEqual(['Tern', 'his']);
  expect(await recordVersion({ id: 'd', name: 'x', replaces: 'nobody' }, kept)).toMatchObject({
    problem: { code: 'unknown-reference' },
  });
});

test('a change that slips in between looking and writing is told as well', async () => {
  const meanwhile: Row = { id: 'z', lineageId: 'a', version: 2, name: 'theirs' };
  const { kept, rows } = table(() => {
    if (rows.length === 1) rows.push(meanwhile);
  });
  rows.push({ id: 'a', lineageId: 'a', version: 1, name: 'Tern' });
  expect(await recordVersion({ id: 'b', name: 'mine', replaces: 'a' }, kept)).toMatchObject({
    problem: { code: 'changed-elsewhere' },
  });
});
