import { expectedReading, fitOf, type Expectation, type Fit } from '../expectation/index.ts';
import { toKpaAbs } from '../../measure/quantity/index.ts';
import { LIVE_VOLTS_LIMIT } from '../../measure/uncertainty/index.ts';
import type { Evidence } from '../../record/evidence/index.ts';
import type { CaseFile } from './caseFile.ts';
import { expectationContext } from './expectationContext.ts';
import { readingLimitVolts } from './readingLimit.ts';

/** A reading before it has an id: being typed, or shown on a simulated instrument. */
export type SeenReading = Evidence extends infer E ? (E extends Evidence ? Omit<E, 'id'> : never) : never;

/** Where a reading stands against what a sound machine would show; no fit where nothing can be expected. */
export function fitOfReading(
  reading: SeenReading,
  caseFile: CaseFile,
): { expectation: Expectation | undefined; fit: Fit | undefined } {
  const expectation = expectedReading(reading, reading.state, expectationContext(caseFile));
  const value = valueInExpectedUnit(reading, caseFile);
  // Lanes and gate leave a reading what its meter cannot tell; so does this.
  const doubt =
    reading.kind === 'wire'
      ? readingLimitVolts(reading, caseFile)
      : reading.kind === 'live-volts'
        ? LIVE_VOLTS_LIMIT
        : 0;
  return {
    expectation,
    fit: expectation && value !== undefined ? fitOf(value, expectation, doubt) : undefined,
  };
}

function valueInExpectedUnit(reading: SeenReading, { ambient, profile }: CaseFile): number | undefined {
  switch (reading.kind) {
    case 'wire':
    case 'live-volts':
      return reading.volts;
    case 'scan':
      return reading.value;
    case 'gauge': {
      if (profile.measures !== 'absolute-pressure' && reading.basis !== 'absolute') {
        return reading.basis === 'vacuum' ? -reading.pressureKpa : reading.pressureKpa;
      }
      const kpaAbs = ambient && toKpaAbs(reading, ambient.pressureKpaAbs);
      return kpaAbs?.ok ? kpaAbs.value : undefined;
    }
  }
}
