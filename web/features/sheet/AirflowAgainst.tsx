import Typography from '@mui/material/Typography';
import { type EngineState } from '@lettura/core/machine/places';
import { formatValue } from '@lettura/core/measure/quantity';
import { flowAgainst, flowByRule, type CaseFile, pairSaid } from '@lettura/core/judge/checks';
import type { MeasuredValue } from '@lettura/core/measure/uncertainty';
import { fitInWords } from '../../ui/fit.ts';
import type { Units } from '../../ui/units.ts';
import { BudgetTable } from './BudgetTable.tsx';
import { SaidProblem, Said } from '../../ui/Said.tsx';
import { said, titled, t } from '../../ui/words.ts';
import { say, verbatim } from '@lettura/core/measure/message';

interface OfMeter {
  caseFile: CaseFile;
  units: Units;
}

/** The meter against what speed and density call for. */
export function AirflowAgainst({
  caseFile,
  engine,
  units,
  should,
}: OfMeter & { engine: EngineState; should: MeasuredValue }) {
  const found = flowAgainst(caseFile, engine, should);
  const source = say('source.speed-and-density');
  const called = t('ui-sheet.calls-for', {
    source: titled(source),
    value: formatValue(should.value, 'air-flow', units.absolute),
    expandedUncertainty: formatValue(should.expandedUncertainty, 'air-flow', units.absolute),
  });
  if (!found.ok) {
    return (
      <Typography>
        {called} <SaidProblem problem={found.problem} />
      </Typography>
    );
  }
  const matters = Math.abs(found.value.difference) > caseFile.profile.differenceThatMatters;
  return (
    <>
      <Typography sx={{ mt: 1 }}>
        {called}{' '}
        <Said
          message={pairSaid(
            { a: say('source.sensor'), b: source, comparison: found.value, matters },
            'air-flow',
          )}
        />
      </Typography>
      <BudgetTable of={said(source)} measured={should} measures="air-flow" units={units} />
    </>
  );
}

/** The meter at idle beside the rule of thumb, which accuses nobody by itself. */
export function AirflowByRule({
  caseFile,
  units,
  displacementLitres,
}: OfMeter & { displacementLitres: number }) {
  const found = flowByRule(caseFile, displacementLitres);
  if (!found.ok) return <SaidProblem problem={found.problem} />;
  const { own, lowest, highest, fit } = found.value;
  const show = (flow: number) => verbatim(formatValue(flow, 'air-flow', units.absolute));
  return (
    <Typography sx={{ mt: 1 }}>
      {t('ui-sheet.by-litres-rule', {
        lowest: show(lowest),
        highest: show(highest),
        value: show(own.value),
        fit: verbatim(fitInWords(fit)),
      })}
    </Typography>
  );
}
