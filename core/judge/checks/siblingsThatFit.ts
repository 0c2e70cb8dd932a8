import { list, say, verbatim } from '../../measure/message/index.ts';
import type { WireReading } from '../../record/evidence/index.ts';
import { keyOn } from '../../machine/places/index.ts';
import { isSent, sentIn, type SentIn } from '../../measure/transfer/index.ts';
import { isOffBand } from '../expectation/index.ts';
import type { CaseFile } from './caseFile.ts';
import type { Remark } from './finding.ts';
import { fitOfReading } from './fitOfReading.ts';
import { lineSeen } from './lineSeen.ts';
import { supplyIsGood } from './supplyIsGood.ts';

/** Another part of the library, as far as its signal goes. */
export type Sibling = Pick<CaseFile, 'family' | 'profile' | 'companion'> & { name: string };

/** More names are no hint any more. */
const MOST_NAMED = 3;

/**
 * Parts of the same family that every signal read so far fits, where the part under test is off at one of them: the library
 * entry may be the wrong variant, and nothing may be wrong with the sensor. Silent where the supply was read and is off, since
 * that moves any signal; a wire or a fault may give the same voltages by chance, so it is a question and no finding.
 *
 * @param library without the part under test
 */
export function siblingsThatFit(caseFile: CaseFile, library: readonly Sibling[]): Remark[] {
  const seen = lineSeen(caseFile);
  const inFamily = library.filter(
    ({ family, profile }) => family === caseFile.family && profile.measures === caseFile.profile.measures,
  );
  if (seen === 'telegrams' || seen === 'pulses')
    return seen === sentIn(caseFile.profile) ? [] : thatSend(seen, inFamily);
  if (isSent(caseFile.profile)) return [];
  const wires = caseFile.readings.filter(
    (one): one is WireReading =>
      one.kind === 'wire' && one.place === 'plug' && one.state.plug === 'connected' && keyOn(one.state),
  );
  if (wires.some((one) => supplyIsGood(one.lane, one, caseFile) === false)) return [];
  const signals = wires.filter(({ lane }) => lane === 'signal');
  const off = signals.filter((one) => isOffBand(fitOfReading(one, caseFile).fit));
  if (off.length === 0) return [];
  const fitting = inFamily.filter(({ profile, companion }) => {
    // An average fits any of those that send their value.
    if (isSent(profile)) return false;
    const other: CaseFile = { ...caseFile, profile, companion };
    const fits = (one: WireReading) => fitOfReading(one, other).fit;
    return signals.every((one) => !isOffBand(fits(one))) && off.every((one) => fits(one) === 'as-expected');
  });
  if (fitting.length === 0) return [];
  return [
    {
      sentence: say('checks.fits-another-part', {
        signals: signals.length,
        ...named(fitting),
      }),
      readingIds: signals.map(({ id }) => id),
    },
  ];
}

/** Something arrives that the part under test is not said to send. */
function thatSend(what: SentIn, library: readonly Sibling[]): Remark[] {
  const senders = library.filter(({ profile }) => sentIn(profile) === what);
  if (senders.length === 0) return [];
  const said = { ...named(senders), areTelegrams: what === 'telegrams' };
  return [{ sentence: say('checks.sends-as-another-part', said), readingIds: [] }];
}

const named = (parts: readonly Sibling[]) => ({
  names: list(parts.slice(0, MOST_NAMED).map(({ name }) => say('sweep.named', { name: verbatim(name) }))),
  more: Math.max(0, parts.length - MOST_NAMED),
});
