import { isTakenReading } from '@lettura/contract';
import {
  plugSaid,
  sameState,
  type EngineState,
  type MachineState,
  type Target,
} from '@lettura/core/machine/places';
import { expectedReading } from '@lettura/core/judge/expectation';
import { expectationContext } from '@lettura/core/judge/checks';
import { expectationInWords, placeInWords, valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { isAt, isAtOnePoint } from './atPoint.ts';
import { meaningOf } from './meaning.ts';
import { FIT_WORDS } from '../../ui/fit.ts';
import type { ProbePadProps } from './ProbePad.tsx';
import type { Sheet } from './useSheet.ts';
import { said, t } from '../../ui/words.ts';

/** A pad has room for two words. */
const CAPTION: Partial<Record<Target['kind'], string>> = {
  scan: t('ui-sheet.live-data-2'),
  'live-volts': t('ui-sheet.live-volts-2'),
};
/** On a pad there is room for the trade’s short form only. */
const BRIEF_ENGINE: Record<EngineState, string> = {
  'key-off': t('ui-sheet.key-off-2'),
  koeo: t('ui-sheet.koeo'),
  cranking: t('ui-sheet.cranking-2'),
  idle: t('ui-sheet.idle-2'),
  'held-revs': t('ui-sheet.revs-held-2'),
  'snap-open': t('ui-sheet.snap'),
  'under-load': t('ui-sheet.load'),
};

/** What a pad shows, wherever it is drawn. */
export type PadShows = Omit<ProbePadProps, 'target' | 'selected' | 'onSelect'>;

/** What a pad shows in the present state of the machine: the newest reading there, or what to expect. */
export function padIn(
  { standing, caseFile, unsentIds }: Pick<Sheet, 'standing' | 'caseFile' | 'unsentIds'>,
  target: Target,
  state: MachineState,
  units: Units,
): PadShows {
  const here = standing
    .filter(isTakenReading)
    .filter(isAtOnePoint)
    .filter((reading) => isAt(reading, target));
  const now = here.findLast((reading) => sameState(reading.state, state));
  const other = here.findLast((reading) => !sameState(reading.state, state));
  const meaning = now && meaningOf(now, caseFile, units);
  const expectation = now ? undefined : expectedReading(target, state, expectationContext(caseFile));
  const expected = expectation && expectationInWords(expectation, target, units, caseFile.ambient);
  const value = now && valueInWords(now, units);
  const elsewhere = other && `${valueInWords(other, units)} ${shortState(other.state, state)}`;
  const said = value
    ? `${value}${meaning?.fit ? `, ${FIT_WORDS[meaning.fit]}` : ''}`
    : expected
      ? t('ui-sheet.expect', { expected })
      : t('ui-sheet.not-read-yet');
  return {
    label: `${placeInWords(target)}: ${said}${elsewhere ? `; ${elsewhere}` : ''}`,
    value,
    fit: meaning?.fit,
    expected,
    elsewhere,
    unsent: now !== undefined && unsentIds.has(now.id),
    ...(target.kind === 'wire' ? {} : { caption: CAPTION[target.kind] ?? placeInWords(target) }),
  };
}

/** Only what differs from the present state needs saying. */
const shortState = (there: MachineState, here: MachineState): string =>
  [
    there.engine === here.engine ? '' : BRIEF_ENGINE[there.engine],
    there.plug === here.plug ? '' : said(plugSaid(there.plug)),
    there.harness && !here.harness ? 'clipped' : '',
  ]
    .filter(Boolean)
    .join(', ');
