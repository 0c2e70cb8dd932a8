import { type AnyEvidence } from '../../../record/evidence/index.ts';
import { stateWords, targetWords } from '../../../machine/places/index.ts';
import { observationOf, type ObservationMade } from '../../../record/observation/index.ts';
import { formatWithBasis, ohmsInWords } from '../../../measure/quantity/index.ts';
import { gaugeAgainstSensor, voltsInWords, type CaseFile } from '../../checks/index.ts';
import type { Candidate } from '../outlook/candidates.ts';
import { isAlongOneWire } from '../likelihood/readingLists.ts';
import { upperFirst } from '../../wording/index.ts';

/** A reading as one would say it: where, what, in which state. */
export function readingWords(reading: AnyEvidence, caseFile: CaseFile): string {
  return `${upperFirst(targetWords(reading))} ${valueWords(reading, caseFile)} (${stateWords(reading.state)})`;
}

export const observationWords = ({ observation, holds }: ObservationMade): string => {
  const { question, yes, no } = observationOf(observation);
  return `${question} ${upperFirst(holds ? yes : no)}`;
};

function valueWords(reading: AnyEvidence, caseFile: CaseFile): string {
  const { profile, pressureUnit, ambient, gauge } = caseFile;
  switch (reading.kind) {
    case 'wire':
    case 'between':
      return voltsInWords(reading.volts);
    case 'ohms':
      return ohmsInWords(reading.ohms ?? Infinity);
    case 'scan':
      return formatWithBasis(reading.value, reading.measures, pressureUnit);
    case 'gauge': {
      const measured = gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
      return measured.ok
        ? formatWithBasis(measured.value.value, profile.measures, pressureUnit)
        : `${reading.pressureKpa.toFixed(1)} kPa`;
    }
  }
}

/** What an instrument would show, in words. */
export function shownWords(kind: Candidate['target']['kind'], reads: number, caseFile: CaseFile): string {
  if (kind === 'wire' || kind === 'between') return voltsInWords(Math.abs(reads) < 0.0005 ? 0 : reads);
  if (kind === 'ohms') return ohmsInWords(reads);
  const { profile, pressureUnit } = caseFile;
  // A scale goes a little past the sensor's range; what is shown does not.
  const shown = Math.min(profile.highest, Math.max(profile.lowest, reads));
  return formatWithBasis(shown, profile.measures, pressureUnit);
}

/** What the instrument showed, in the unit of predictions; either sign of a drop along a wire, nothing where it cannot be told. */
export function shownBy(reading: AnyEvidence, { profile, ambient, gauge }: CaseFile): number[] {
  switch (reading.kind) {
    case 'wire':
      return [reading.volts];
    case 'between':
      return isAlongOneWire(reading) ? [reading.volts, -reading.volts] : [reading.volts];
    case 'ohms':
      return [reading.ohms ?? Infinity];
    case 'scan':
      return [reading.value];
    case 'gauge': {
      const measured = gaugeAgainstSensor(reading, profile.measures, ambient, gauge);
      return measured.ok ? [measured.value.value] : [];
    }
  }
}
