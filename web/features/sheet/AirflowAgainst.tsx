import Typography from '@mui/material/Typography';
import { type EngineState } from '@lettura/core/machine/places';
import { formatValue } from '@lettura/core/measure/quantity';
import { flowAgainst, type CaseFile, pairSaid } from '@lettura/core/judge/checks';
import type { MeasuredValue } from '@lettura/core/measure/uncertainty';
import type { Units } from '../../ui/units.ts';
import { BudgetTable } from './BudgetTable.tsx';
import { SaidProblem, Said } from '../../ui/Said.tsx';
import { said, titled, t } from '../../ui/words.ts';
import { say } from '@lettura/core/measure/message';

export interface AirflowCheckProps {
  caseFile: CaseFile;
  engine: EngineState;
  units: Units;
}

export function AirflowAgainst({
  caseFile,
  engine,
  units,
  name,
  should,
}: AirflowCheckProps & { name: 'speed-and-density' | 'litres-rule'; should: MeasuredValue }) {
  const found = flowAgainst(caseFile, engine, should);
  const source = say(`source.${name}`);
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
