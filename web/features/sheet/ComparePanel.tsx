import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { ENGINE_WORDS, type EngineState } from '@lettura/core/evidence';
import { formatPressure } from '@lettura/core/quantity';
import { comparisonsIn, type CaseFile, type Pair } from '@lettura/core/reasoning';
import { NUMERALS } from '../../app/theme.ts';
import { upperFirst, vacuumInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';

export interface ComparePanelProps {
  caseFile: CaseFile;
  engine: EngineState;
  units: Units;
}

/** Everything that tells the same pressure, on one basis, with the doubt of each. */
export function ComparePanel({ caseFile, engine, units }: ComparePanelProps) {
  const { sources, pairs } = comparisonsIn(caseFile, engine);
  if (sources.length === 0) {
    return (
      <Typography>
        Nothing to compare yet with {ENGINE_WORDS[engine]}: read the signal at the sensor plug, and a gauge or
        live data.
      </Typography>
    );
  }
  const { ambient } = caseFile;
  return (
    <Box>
      <Typography variant="h2">In one basis, {ENGINE_WORDS[engine]}</Typography>
      <Table size="small" aria-label="Pressures in one basis">
        <TableHead>
          <TableRow>
            <TableCell>Source</TableCell>
            <TableCell align="right">Absolute</TableCell>
            <TableCell align="right">{ambient ? 'Against ambient' : 'Against ambient (not given)'}</TableCell>
            <TableCell align="right">Doubt (k = 2)</TableCell>
            <TableCell>Mostly from</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {sources.map(({ name, measured }) => (
            <TableRow key={name}>
              <TableCell component="th" scope="row">
                {upperFirst(name)}
              </TableCell>
              <Numeral>{formatPressure(measured.pressureKpaAbs, units.absolute)}</Numeral>
              <Numeral>{ambient ? vacuumInWords(measured.pressureKpaAbs, ambient, units) : '–'}</Numeral>
              <Numeral>±{formatPressure(measured.expandedUncertaintyKpa, units.absolute)}</Numeral>
              <TableCell>{largestTerm(measured.terms)}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {pairs.map((pair) => (
        <Typography key={pair.b} sx={{ mt: 1 }}>
          {pairInWords(pair, units)}
        </Typography>
      ))}
      {pairs.length === 0 && (
        <Typography sx={{ mt: 1 }}>
          The signal at the sensor plug is missing, or no pressure gives it.
        </Typography>
      )}
    </Box>
  );
}

const largestTerm = (terms: { source: string; standardUncertaintyKpa: number }[]): string =>
  terms.reduce((a, b) => (b.standardUncertaintyKpa > a.standardUncertaintyKpa ? b : a)).source;

export function pairInWords({ a, b, comparison, matters }: Pair, units: Units): string {
  const { outcome, differenceKpa, expandedUncertaintyKpa, en, limitedBy } = comparison;
  const side = differenceKpa >= 0 ? 'above' : 'below';
  const difference = `${formatPressure(Math.abs(differenceKpa), units.absolute)} ${side} ${b} (±${formatPressure(expandedUncertaintyKpa, units.absolute)}, En ${en.toFixed(2)})`;
  const said = `${upperFirst(a)} is ${difference}`;
  switch (outcome) {
    case 'agree':
      return `✓ Agree. ${said}.`;
    case 'disagree':
      return matters
        ? `✕ Disagree, and it matters. ${said}.`
        : `~ Disagree, but too little to matter. ${said}.`;
    case 'cannot-tell':
      return `? These instruments cannot tell. ${said}; the limit is ${limitedBy}.`;
  }
}

const Numeral = ({ children }: { children: React.ReactNode }) => (
  <TableCell align="right" sx={{ fontFamily: NUMERALS, whiteSpace: 'nowrap' }}>
    {children}
  </TableCell>
);
