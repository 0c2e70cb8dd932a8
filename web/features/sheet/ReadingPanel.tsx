import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { isTakenReading, type Reading, type TakenReading } from '@lettura/contract';
import { quickEntry } from '@lettura/core/record/entry';
import {
  sameState,
  sameTarget,
  stateSaid,
  type MachineState,
  type Target,
} from '@lettura/core/machine/places';
import {
  expectedPulses,
  expectedPulsesSaid,
  expectedReading,
  whyNoExpectation,
  type Expectation,
} from '@lettura/core/judge/expectation';
import { expectationContext } from '@lettura/core/judge/checks';
import { cautionsFor } from '@lettura/core/judge/cautions';
import { familyOf, notesAt } from '@lettura/core/machine/family';
import type { ReactNode } from 'react';
import { NUMERALS } from '../../app/theme.ts';
import { fitInWords } from '../../ui/fit.ts';
import { Cautions } from '../../ui/Cautions.tsx';
import { briefState, expectationInWords, placeInWords, upperFirst, valueInWords } from '../../ui/inWords.ts';
import { clockTime } from '../../ui/when.ts';
import type { Units } from '../../ui/units.ts';
import { TradeNotes } from '../../ui/TradeNotes.tsx';
import { VoltScale } from '../../ui/VoltScale.tsx';
import { Term } from '../../ui/help/index.ts';
import { FirstSteps } from './FirstSteps.tsx';
import { KnownGood } from './KnownGood.tsx';
import { isAt, isAtOnePoint, type AtOnePoint } from './atPoint.ts';
import { termsFor } from './termsFor.ts';
import { entryDefaults } from './entryDefaults.ts';
import { BudgetTable } from './BudgetTable.tsx';
import { overdueWords } from './instrumentInHand.ts';
import { meaningOf } from './meaning.ts';
import { budgetOf } from './budgetOf.ts';
import { useDraft } from './useInHand.ts';
import type { Sheet } from './useSheet.ts';
import { Said } from '../../ui/Said.tsx';
import { valueSaid, t } from '../../ui/words.ts';

export interface ReadingPanelProps {
  sheet: Sheet;
  state: MachineState;
  target: Target;
  units: Units;
  keypad: ReactNode;
  instrument: ReactNode;
  takenWith: ReactNode;
  onTakeBack: (reading: Reading) => void;
  onCorrect: (reading: Reading) => void;
}

/** The point in hand: what to expect here now, what the typed value would mean, and what was read before. */
export function ReadingPanel(props: ReadingPanelProps) {
  const { sheet, state, target, units, keypad, instrument, takenWith, onTakeBack, onCorrect } = props;
  const context = expectationContext(sheet.caseFile);
  const expectation = expectedReading(target, state, context);
  const counts =
    target.kind === 'wire' && target.lane === 'signal' && state.plug === 'connected'
      ? expectedPulses(state, context)
      : undefined;
  const taken = sheet.standing
    .filter(isTakenReading)
    .filter(isAtOnePoint)
    .filter((reading) => isAt(reading, target))
    .toReversed();
  return (
    <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start' }}>
      <Box sx={{ flex: '1 1 260px', minWidth: 0 }}>
        {sheet.standing.every(({ kind }) => kind === 'ambient') && <FirstSteps />}
        <Typography variant="h2">{placeInWords(target)}</Typography>
        <Typography variant="body2" sx={{ color: 'text.secondary', mb: 0.5 }}>
          {upperFirst(valueSaid(stateSaid(state)))}
          {target.kind === 'wire' ? t('ui-sheet.black-lead-battery-negative') : ''}
        </Typography>
        {expectation ? (
          <>
            <Typography sx={{ fontSize: '1.15rem' }}>
              {t('ui-sheet.expect-2')}{' '}
              <Box component="strong" sx={{ fontFamily: NUMERALS }}>
                {expectationInWords(expectation, target, units, sheet.caseFile.ambient)}
              </Box>
            </Typography>
            <Typography variant="body2">
              <Said message={expectation.reason} />
            </Typography>
            {expectation.of === 'volts' && <Where {...{ sheet, target, state, units }} band={expectation} />}
          </>
        ) : (
          <Typography>
            <Said message={whyNoExpectation(target, state, context)} />
          </Typography>
        )}
        {counts && (
          <Typography>
            {t('ui-sheet.expect-counted')}{' '}
            <Box component="strong" sx={{ fontFamily: NUMERALS }}>
              <Said message={expectedPulsesSaid(counts)} />
            </Box>
          </Typography>
        )}
        <KnownGood {...{ sheet, target, state, units }} />
        <Cautions cautions={cautionsFor(target, state, sheet.sensor.family)} />
        <Preview {...{ sheet, state, target, units }} />
        <Box role="group" aria-label={t('ui-sheet.words-here')} sx={{ ml: -0.75 }}>
          {termsFor(target, state).map((id) => (
            <Term key={id} id={id} />
          ))}
        </Box>
        <TradeNotes notes={notesAt(familyOf(sheet.sensor.family), target, state)} />
        {takenWith}
        {taken.length > 0 && (
          <Box
            component="ul"
            aria-label={t('ui-sheet.readings-point')}
            sx={{ listStyle: 'none', p: 0, m: 0, mt: 1 }}
          >
            {taken.map((reading) => (
              <OneReading key={reading.id} {...{ reading, sheet, units, onTakeBack, onCorrect }} />
            ))}
          </Box>
        )}
      </Box>
      {instrument}
      {keypad}
    </Box>
  );
}

/** What is typed, or else was read last in this state, against what is expected. */
function Where({
  sheet,
  target,
  state,
  units,
  band,
}: Pick<ReadingPanelProps, 'sheet' | 'target' | 'state' | 'units'> & { band: Expectation }) {
  const draft = useDraft(sheet.job.id);
  const typed = draft ? quickEntry(draft, entryDefaults(sheet.caseFile, target, units)) : undefined;
  const read = sheet.standing.findLast(
    (reading) => reading.kind === 'wire' && sameTarget(reading, target) && sameState(reading.state, state),
  );
  const volts =
    typed?.ok && typed.value.kind === 'wire' && sameTarget(typed.value, target)
      ? typed.value.volts
      : !draft && read?.kind === 'wire'
        ? read.volts
        : undefined;
  return (
    <VoltScale bands={[{ from: band.lowest, to: band.highest, mark: '', isExpected: true }]} volts={volts} />
  );
}

function Preview({
  sheet,
  state,
  target,
  units,
}: Omit<ReadingPanelProps, 'keypad' | 'instrument' | 'takenWith' | 'onTakeBack' | 'onCorrect'>) {
  const draft = useDraft(sheet.job.id);
  const entry = draft && quickEntry(draft, entryDefaults(sheet.caseFile, target, units));
  if (!entry || !entry.ok || entry.value.kind === 'ambient') return null;
  const { warnings, ...seen } = entry.value;
  if (!isAtOnePoint(seen))
    return (
      <Typography variant="body2">{t('ui-sheet.noted-typed', { place: placeInWords(seen) })}</Typography>
    );
  const { fit, conversion } = meaningOf({ ...seen, state }, sheet.caseFile, units);
  return (
    <Box sx={{ borderLeft: 3, borderColor: 'primary.main', pl: 1.25, my: 1 }}>
      <Typography variant="body2">
        <strong>{isAt(seen, target) ? t('ui-sheet.this-would-be') : `${placeInWords(seen)}:`}</strong>{' '}
        {[conversion, fit && fitInWords(fit)].filter(Boolean).join(' · ') || t('ui-sheet.noted-typed-2')}
      </Typography>
      {warnings.map(({ code, message }) => (
        <Typography key={code} variant="body2" sx={{ color: 'warning.main', fontWeight: 600 }}>
          <Said message={message} />
        </Typography>
      ))}
    </Box>
  );
}

interface TakenReadingProps extends Pick<ReadingPanelProps, 'sheet' | 'units' | 'onTakeBack' | 'onCorrect'> {
  reading: AtOnePoint<TakenReading>;
}

function OneReading({ reading, sheet, units, onTakeBack, onCorrect }: TakenReadingProps) {
  const { fit, conversion } = meaningOf(evidenceOf(sheet, reading.id) ?? reading, sheet.caseFile, units);
  const value = valueInWords(reading, units);
  const budget = budgetOf(evidenceOf(sheet, reading.id) ?? reading, sheet.caseFile);
  const taker = sheet.instruments.find(({ id }) => id === reading.instrumentId);
  const overdue = taker && overdueWords(taker, reading.takenAt.slice(0, 10));
  return (
    <Box component="li" sx={{ borderTop: 1, borderColor: 'divider', py: 0.5 }}>
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: 'wrap' }}>
        <Box component="strong" sx={{ fontFamily: NUMERALS, fontSize: '1.05rem' }}>
          {value}
        </Box>
        <Typography variant="body2" sx={{ flex: 1, minWidth: 120 }}>
          {fit ? `${fitInWords(fit)} · ` : ''}
          {briefState(reading.state)} · {clockTime(reading.takenAt)}
        </Typography>
        <Button
          size="small"
          color="inherit"
          aria-label={t('ui-sheet.correct-2', { value })}
          onClick={() => onCorrect(reading)}
        >
          {t('ui-sheet.correct-3')}
        </Button>
        <Button
          size="small"
          color="inherit"
          aria-label={t('ui-sheet.take-back', { value })}
          onClick={() => onTakeBack(reading)}
        >
          {t('ui-sheet.take-back-2')}
        </Button>
      </Box>
      {conversion && <Typography variant="body2">{conversion}</Typography>}
      {taker && <Typography variant="body2">{t('ui-sheet.taken-with', { name: taker.name })}</Typography>}
      {overdue && (
        <Typography variant="body2" sx={{ color: 'warning.main', fontWeight: 600 }}>
          ⚠ {overdue}
        </Typography>
      )}
      {budget && (
        <BudgetTable
          of={t('ui-sheet.value-from', { value })}
          measured={budget}
          measures={sheet.caseFile.profile.measures}
          units={units}
        />
      )}
    </Box>
  );
}

/** The reading as the reasoning has it: with the accuracy of what took it. */
const evidenceOf = ({ caseFile }: Sheet, id: string) =>
  [...caseFile.readings, ...caseFile.isolation].filter(isAtOnePoint).find((reading) => reading.id === id);
