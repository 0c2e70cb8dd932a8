import { fail, type Result } from '@lettura/core/problem';
import { ambientFrom, parseReading, type AmbientSource, type PressureUnit } from '@lettura/core/quantity';

/** The text of an ambient form, kept as typed until it can be read. */
export interface AmbientText {
  source: AmbientSource['source'];
  pressure: string;
  altitude: string;
  unit: PressureUnit;
}

export function readAmbient({ source, pressure, altitude, unit }: AmbientText): Result<AmbientSource> {
  const given = gather();
  if (!given.ok) return given;
  const possible = ambientFrom(given.value);
  return possible.ok ? given : possible;

  function gather(): Result<AmbientSource> {
    if (source === 'altitude') {
      const metres = readAltitude(altitude);
      return metres.ok ? { ok: true, value: { source, altitudeM: metres.value } } : metres;
    }
    const read = parseReading(pressure, unit);
    if (!read.ok) return read;
    if (source === 'barometer') return { ok: true, value: { source, stationKpaAbs: read.value.value } };
    const metres = readAltitude(altitude);
    return metres.ok
      ? { ok: true, value: { source, seaLevelKpa: read.value.value, altitudeM: metres.value } }
      : metres;
  }
}

function readAltitude(text: string): Result<number> {
  const match = /^([+\-−]?\d{1,5})(?:[.,]\d+)?\s*m?$/u.exec(text.trim());
  if (!match) {
    return fail(
      'not-a-number',
      `“${text}” is not an altitude.`,
      'Enter metres above sea level, for example 1200.',
    );
  }
  return { ok: true, value: Number((match[1] as string).replace('−', '-')) };
}
