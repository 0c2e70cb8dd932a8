import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { formatFine, type Measurand } from '@lettura/core/measure/quantity';
import { budgetRows, expandedWithBetter, type MeasuredValue } from '@lettura/core/measure/uncertainty';
import { Fold } from '../../ui/Fold.tsx';
import { Numeral } from '../../ui/Numeral.tsx';
import { upperFirst } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

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
    <Fold summary={`Where the doubt of the ${of} comes from`}>
      <BudgetRows {...{ of, measured, measures, units }} />
    </Fold>
  );
}

function BudgetRows({ of, measured, measures, units }: BudgetTableProps) {
  const rows = budgetRows(measured.terms);
  const show = (value: number) => formatFine(value, measures, units.absolute);
  return (
    <>
      <Table size="small" aria-label={`Uncertainty budget of the ${of}`}>
        <TableHead>
          <TableRow>
            <TableCell>Source</TableCell>
            <TableCell align="right">Standard uncertainty</TableCell>
            <TableCell align="right">Share</TableCell>
            <TableCell align="right">Whole doubt if this were half</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {rows.map(({ source, standardUncertainty, share }) => (
            <TableRow key={source}>
              <TableCell component="th" scope="row">
                {upperFirst(source)}
              </TableCell>
              <Numeral>{show(standardUncertainty)}</Numeral>
              <Numeral>{(100 * share).toFixed(0)} %</Numeral>
              <Numeral>±{show(expandedWithBetter(measured.terms, source, 0.5))}</Numeral>
            </TableRow>
          ))}
          <TableRow>
            <TableCell component="th" scope="row">
              Together, expanded (k = 2)
            </TableCell>
            <Numeral>±{show(measured.expandedUncertainty)}</Numeral>
            <TableCell />
            <TableCell />
          </TableRow>
        </TableBody>
      </Table>
      <Typography variant="body2" sx={{ mt: 0.5 }}>
        Added as squares, by JCGM 100 (GUM). {advice(rows)}
      </Typography>
    </>
  );
}

function advice(rows: readonly { source: string; share: number }[]): string {
  const [first] = rows;
  if (!first || first.share < 0.5) return 'No single source dominates.';
  return first.source === 'sensor tolerance'
    ? 'The sensor’s own tolerance dominates: a better meter changes next to nothing.'
    : `${upperFirst(first.source)} dominates: a better one there is what would help.`;
}
