import type { Sensor } from '@lettura/contract';
import { FAMILIES, FAMILY_IDS } from '@lettura/core/machine/family';
import { said } from '../../ui/words.ts';

/** Every word must turn up in the name, the source, the notes or the family; families keep the order of the trade. */
export function searchSensors(sensors: readonly Sensor[], search: string, family: string): Sensor[] {
  const words = search.toLowerCase().split(/\s+/u).filter(Boolean);
  return sensors
    .filter(
      (sensor) =>
        (family === '' || sensor.family === family) && words.every((word) => textOf(sensor).includes(word)),
    )
    .sort((a, b) => FAMILY_IDS.indexOf(a.family) - FAMILY_IDS.indexOf(b.family));
}

/** Put together once for each sensor: a search asks for it at every letter. */
const texts = new WeakMap<Sensor, string>();
function textOf(sensor: Sensor): string {
  const known = texts.get(sensor);
  if (known !== undefined) return known;
  const { name, source, notes, family } = sensor;
  const text = `${name} ${source} ${notes} ${said(FAMILIES[family].words)}`.toLowerCase();
  texts.set(sensor, text);
  return text;
}
