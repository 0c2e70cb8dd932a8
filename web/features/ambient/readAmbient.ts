import { say, verbatim } from '@lettura/core/measure/message';
import { fail, type Result } from '@lettura/core/measure/problem';
import {
  ambientFrom,
  parseAltitude,
  parseReading,
  type AmbientSource,
  type PressureUnit,
} from '@lettura/core/measure/quantity';

/** The text of an ambient form, kept as typed until it can be read. */
export interface AmbientText {
  source: AmbientSource['source'];
  pressure: string;
  altitude: string;
  unit: PressureUnit;
  /** °C; may stay empty. */
  air: string;
}

/** An untouched form. */
export const emptyAmbient = (unit: PressureUnit): AmbientText => ({
  source: 'barometer',
  pressure: '',
  altitude: '',
  unit,
  air: '',
});

export function readAmbient({ source, pressure, altitude, unit, air }: AmbientText): Result<AmbientSource> {
  const given = gather();
  if (!given.ok) return given;
  const possible = ambientFrom(given.value);
  if (!possible.ok) return possible;
  if (air.trim() === '') return given;
  const airCelsius = readAir(air);
  return airCelsius.ok ? { ok: true, value: { ...given.value, airCelsius: airCelsius.value } } : airCelsius;

  function gather(): Result<AmbientSource> {
    if (source === 'altitude') {
      const metres = parseAltitude(altitude);
      return metres.ok ? { ok: true, value: { source, altitudeM: metres.value } } : metres;
    }
    const read = parseReading(pressure, unit);
    if (!read.ok) return read;
    if (source === 'barometer' || source === 'vehicle')
      return { ok: true, value: { source, stationKpaAbs: read.value.value } };
    const metres = parseAltitude(altitude);
    return metres.ok
      ? { ok: true, value: { source, seaLevelKpa: read.value.value, altitudeM: metres.value } }
      : metres;
  }
}

function readAir(text: string): Result<number> {
  const match = /^([+\-−]?\d{1,2}(?:[.,]\d)?)\s*(?:°?\s*C)?$/iu.exec(text.trim());
  const celsius = match && Number((match[1] as string).replace('−', '-').replace(',', '.'));
  return celsius !== null && celsius >= -60 && celsius <= 60
    ? { ok: true, value: celsius }
    : fail(
        'not-a-number',
        say('app.not-air-temperature', { text: verbatim(text) }),
        say('app.enter-c-60-60-example'),
      );
}

/** The form in one line, as it goes on record beside its value. */
export const ambientInText = ({ source, pressure, altitude, unit, air }: AmbientText): string =>
  [
    source,
    pressure && `${pressure} ${unit}`,
    altitude && (/\d\s*$/u.test(altitude) ? `${altitude.trim()} m` : altitude.trim()),
    air && `${air} °C`,
  ]
    .filter(Boolean)
    .join(' ');
