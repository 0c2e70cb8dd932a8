import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatFine, type Measurand } from '@lettura/core/measure/quantity';
import {
  budgetRows,
  expandedWithBetter,
  type MeasuredValue,
  SENSOR_TOLERANCE,
} from '@lettura/core/measure/uncertainty';
import { Term } from '../../ui/help/index.ts';
import { Fold } from '../../ui/Fold.tsx';
import { Numeral } from '../../ui/Numeral.tsx';
import type { Units } from '../../ui/units.ts';
import { Said } from '../../ui/Said.tsx';
import { sameMessage, say, type Message } from '@lettura/core/measure/message';
import { t } from '../../ui/words.ts';

export interface BudgetTableProps {
  /** What the budget is of, in words. */
  of: string;
  measured: MeasuredValue;
  measures: Measurand;
  units: Units;
}

/** Where the doubt of a value comes from, on request: the largest first, and what a better instrument would change. */
export function BudgetTable({ of, measured, measures, units }: BudgetTableProps) {
  return (
    <Fold summary={t('ui-sheet.where-doubt-comes', { of })}>
      <BudgetRows {...{ of, measured, measures, units }} />
    </Fold>
  );
}

function BudgetRows({ of, measured, measures, units }: BudgetTableProps) {
  const rows = budgetRows(measured.terms);
  const show = (value: number) => formatFine(value, measures, units.absolute);
  return (
    <>
      <Term id="doubt" />
      <Table size="small" aria-label={t('ui-sheet.uncertainty-budget', { of })}>
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-sheet.source')}</TableCell>
            <TableCell align="right">{t('ui-sheet.standard-uncertainty')}</TableCell>
            <TableCell align="right">{t('ui-sheet.share')}</TableCell>
            <TableCell align="right">{t('ui-sheet.whole-doubt-if-were-half')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ source, standardUncertainty, share }) => (
            <TableRow key={JSON.stringify(source)}>
              <TableCell component="th" scope="row">
                <Said title message={source} />
              </TableCell>
              <Numeral>{show(standardUncertainty)}</Numeral>
              <Numeral>{(100 * share).toFixed(0)} %</Numeral>
              <Numeral>±{show(expandedWithBetter(measured.terms, source, 0.5))}</Numeral>
            </TableRow>
          ))}
          <TableRow>
            <TableCell component="th" scope="row">
              {t('ui-sheet.together-expanded-k-2')}
            </TableCell>
            <Numeral>±{show(measured.expandedUncertainty)}</Numeral>
            <TableCell />
            <TableCell />
          </TableRow>
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        {t('ui-sheet.added-squares-jcgm-100-gum')} <Said message={adviceOn(rows)} />
      </Typography>
    </>
  );
}

function adviceOn(rows: readonly { source: Message; share: number }[]): Message {
  const [first] = rows;
  if (!first || first.share < 0.5) return say('budget.none-dominates');
  return sameMessage(first.source, SENSOR_TOLERANCE)
    ? say('budget.tolerance-dominates')
    : say('budget.dominates', { source: first.source });
}
