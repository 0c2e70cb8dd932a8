import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { driveWords, type MachineState } from '@lettura/core/machine/places';
import { formatValue, isPressure, MEASURANDS } from '@lettura/core/measure/quantity';
import { comparisonsIn, trackPairIn, type CaseFile } from '@lettura/core/judge/checks';
import { boundWords } from '@lettura/core/measure/uncertainty';
import { Numeral } from '../../ui/Numeral.tsx';
import { upperFirst, vacuumInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { AirflowCheck } from './AirflowCheck.tsx';
import { BeforeAfterTable } from './BeforeAfterTable.tsx';
import { BudgetTable } from './BudgetTable.tsx';
import { pairInWords } from './pairInWords.ts';
import { trackPairInWords } from './trackPairInWords.ts';

export interface ComparePanelProps {
  caseFile: CaseFile;
  state: MachineState;
  units: Units;
}

/** Everything that tells the same quantity, on one basis, with the doubt of each; and what was read again later. */
export function ComparePanel({ caseFile, state, units }: ComparePanelProps) {
  const { sources, pairs, noSensor } = comparisonsIn(caseFile, state);
  const tracks = trackPairIn(caseFile, state);
  const { ambient, profile } = caseFile;
  const { measures } = profile;
  const absolute = measures === 'absolute-pressure';
  const show = (value: number) => formatValue(value, measures, units.absolute);
  return (
    <Box sx={{ display: 'grid', gap: 2 }}>
      <Box>
        <Typography variant="h2">In one basis, {driveWords(state)}</Typography>
        {sources.length === 0 && !noSensor && (
          <Typography>
            Nothing to compare yet in this state: read the signal at the sensor plug, and{' '}
            {isPressure(measures) ? 'a gauge or live data' : 'live data'}.
          </Typography>
        )}
        {sources.length > 0 && (
          <Table
            size="small"
            aria-label={isPressure(measures) ? 'Pressures in one basis' : 'Values compared'}
          >
            <TableHead>
              <TableRow>
                <TableCell>Source</TableCell>
                <TableCell align="right">{upperFirst(MEASURANDS[measures].words)}</TableCell>
                {absolute && (
                  <TableCell align="right">
                    {ambient ? 'Against ambient' : 'Against ambient (not given)'}
                  </TableCell>
                )}
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
                  <Numeral>
                    {upperFirst(boundWords(measured))}
                    {show(measured.value)}
                  </Numeral>
                  {absolute && (
                    <Numeral>{ambient ? vacuumInWords(measured.value, ambient, units) : '–'}</Numeral>
                  )}
                  <Numeral>±{show(measured.expandedUncertainty)}</Numeral>
                  <TableCell>{largestTerm(measured.terms)}</TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        )}
        {pairs.map((pair) => (
          <Typography key={pair.b} sx={{ mt: 1 }}>
            {pairInWords(pair, measures, units)}
          </Typography>
        ))}
        {noSensor && <Typography sx={{ mt: 1 }}>✕ {noSensor}</Typography>}
        {sources.length > 0 && pairs.length === 0 && !noSensor && (
          <Typography sx={{ mt: 1 }}>
            {sources[0]?.name === 'sensor'
              ? 'Nothing beside the sensor yet: a comparison needs a second reading in this state.'
              : 'The signal at the sensor plug has not been read in this state.'}
          </Typography>
        )}
      </Box>
      {tracks && (
        <Box>
          <Typography variant="h2">Track against track</Typography>
          <Typography>{trackPairInWords(tracks)}</Typography>
        </Box>
      )}
      {caseFile.family === 'air-flow' && (
        <AirflowCheck caseFile={caseFile} engine={state.engine} units={units} />
      )}
      <BeforeAfterTable caseFile={caseFile} units={units} />
      <Box>
        {sources.map(({ name, measured }) => (
          <BudgetTable key={name} of={name} measured={measured} measures={measures} units={units} />
        ))}
      </Box>
    </Box>
  );
}

const largestTerm = (terms: { source: string; standardUncertainty: number }[]): string =>
  terms.length === 0
    ? '–'
    : terms.reduce((a, b) => (b.standardUncertainty > a.standardUncertainty ? b : a)).source;
