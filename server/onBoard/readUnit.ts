import { LIVE_ITEMS, liveValue } from '@lettura/core/machine/live';
import {
  codeFromBytes,
  codesFrom,
  FROZEN_FOR,
  READINESS,
  readinessFrom,
  requestFor,
  unitName,
  VEHICLE_NUMBER,
  vehicleNumberFrom,
  type ServiceId,
  type UnitReport,
} from '@lettura/core/record/onBoard';
import type { FoundUnit } from './findUnits.ts';
import type { Tester } from './tester.ts';

/** Everything that a unit says of itself; what it refuses, or does not answer, is left out. */
export async function readUnit(tester: Tester, { unit, items }: FoundUnit): Promise<UnitReport> {
  const said = async (service: ServiceId, ...items: readonly number[]): Promise<number[] | undefined> => {
    const [first] = await tester.ask(requestFor(service, ...items), unit);
    return first?.answer.kind === 'answer' ? first.answer.data : undefined;
  };
  const codes = async (service: 'stored' | 'pending' | 'permanent') => {
    const data = await said(service);
    return data && { [service]: codesFrom(data) };
  };
  const number = await said('vehicle', VEHICLE_NUMBER);
  const ready = await said('live-data', READINESS);
  return {
    unit: unitName(unit),
    ...(number ? { vehicleNumber: vehicleNumberFrom(number) } : {}),
    ...(await codes('stored')),
    ...(await codes('pending')),
    ...(await codes('permanent')),
    ...(ready ? { readiness: readinessFrom(ready) } : {}),
    ...(await frozen(said, items)),
  };
}

const FIRST_FRAME = 0;

/** Its first freeze frame: the code that it is of, and what this product knows of its values. */
async function frozen(
  said: (service: 'freeze-frame', ...items: number[]) => Promise<number[] | undefined>,
  items: readonly number[],
): Promise<Pick<UnitReport, 'freezeFrame'>> {
  const [high = 0, low = 0] = (await said('freeze-frame', FROZEN_FOR, FIRST_FRAME)) ?? [];
  // Two bytes of nothing: there is none.
  if (high === 0 && low === 0) return {};
  const values: { item: number; value: number }[] = [];
  for (const [id, item] of LIVE_ITEMS) {
    if (!items.includes(id)) continue;
    const data = await said('freeze-frame', id, FIRST_FRAME);
    const value = data && liveValue(item, data);
    if (value !== undefined) values.push({ item: id, value });
  }
  return { freezeFrame: { code: codeFromBytes(high, low), values } };
}
