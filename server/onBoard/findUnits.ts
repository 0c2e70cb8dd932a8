import { say } from '@lettura/core/measure/message';
import {
  requestFor,
  SUPPORTED_LISTS,
  supportedFrom,
  type Asked,
  type UnitAddress,
} from '@lettura/core/record/onBoard';
import { FeedFault } from '../feeds/feedFault.ts';
import type { Adapter, BitsPerSecond } from './adapter.ts';
import type { Tester } from './tester.ts';

/** A unit, and the items of live data that it has. */
export interface FoundUnit {
  unit: UnitAddress;
  items: readonly number[];
}

const WIDTHS = ['all-standard', 'all-extended'] as const satisfies readonly Asked[];
const JOIN_MS = 100;

/** All units that answer, by whichever speed and width of identifier they do; fails where nobody does. */
export async function findUnits(
  adapter: Adapter,
  tester: Tester,
): Promise<{ units: FoundUnit[]; all: Asked }> {
  for (const bitsPerSecond of [500_000, 250_000] satisfies BitsPerSecond[]) {
    adapter.join(bitsPerSecond);
    for (const all of WIDTHS) {
      const units = await unitsOf(tester, all);
      if (units.length > 0) return { units, all };
    }
  }
  throw new FeedFault(
    (await adapter.hasBusErrors(JOIN_MS)) ? say('feed.bus-errors') : say('feed.bus-silent'),
  );
}

async function unitsOf(tester: Tester, all: Asked): Promise<FoundUnit[]> {
  const first = await tester.ask(requestFor('live-data', SUPPORTED_LISTS[0]!), all);
  const units: FoundUnit[] = [];
  for (const { unit, answer } of first)
    if (answer.kind === 'answer') units.push({ unit, items: await itemsOf(tester, unit, answer.data) });
  return units;
}

/** Each list says at its end whether there is another. */
async function itemsOf(tester: Tester, unit: UnitAddress, first: readonly number[]): Promise<number[]> {
  const items = supportedFrom(SUPPORTED_LISTS[0]!, first);
  for (const list of SUPPORTED_LISTS.slice(1)) {
    if (!items.includes(list)) break;
    const [said] = await tester.ask(requestFor('live-data', list), unit);
    if (said?.answer.kind !== 'answer') break;
    items.push(...supportedFrom(list, said.answer.data));
  }
  return items.filter((item) => !SUPPORTED_LISTS.includes(item));
}
