import { familyOf } from '@lettura/core/machine/family';
import Box from '@mui/material/Box';
import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Typography from '@mui/material/Typography';
import { driveSaid } from '@lettura/core/machine/places';
import { formatValue, isPressure, measurandSaid } from '@lettura/core/measure/quantity';
import {
  comparisonsIn,
  trackPairIn,
  type CaseFile,
  sourceSaid,
  pairSaid,
  trackPairSaid,
} from '@lettura/core/judge/checks';
import { Numeral } from '../../ui/Numeral.tsx';
import { vacuumInWords } from '../../ui/inWords.ts';
import type { SimulatedMachine } from '@lettura/bench';
import type { EntryActions, RecordedState } from './useEntry.ts';
import type { Units } from '../../ui/units.ts';
import { AirflowCheck } from './AirflowCheck.tsx';
import { BeforeAfterTable } from './BeforeAfterTable.tsx';
import { BudgetTable } from './BudgetTable.tsx';
import { Term } from '../../ui/help/index.ts';
import { NARROW_ONLY, WIDE_ONLY } from '../../ui/wideOnly.ts';
import { titled, said, valueSaid, t } from '../../ui/words.ts';
import { Said } from '../../ui/Said.tsx';
import { budgetRows, type UncertaintyTerm } from '@lettura/core/measure/uncertainty';
import { say, verbatim } from '@lettura/core/measure/message';

export interface ComparePanelProps {
  jobId: string;
  caseFile: CaseFile;
  state: RecordedState;
  units: Units;
  /** The machine in hand, where it is a simulated one. */
  simulated: SimulatedMachine | undefined;
  onEngineFlow: EntryActions['enterEngineFlow'];
}

/** Everything that tells the same quantity, on one basis, with the doubt of each; and what was read again later. */
export function ComparePanel(props: ComparePanelProps) {
  const { jobId, caseFile, state, units, simulated, onEngineFlow } = props;
  const { sources, pairs, noSensor } = comparisonsIn(caseFile, state);
  const tracks = trackPairIn(caseFile, state);
  const { ambient, profile } = caseFile;
  const { measures } = profile;
  const absolute = measures === 'absolute-pressure';
  const show = (value: number) => formatValue(value, measures, units.absolute);
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: 'minmax(0, 1fr)', gap: 2 }}>
      <Box>
        <Typography variant="h2">
          {t('ui-sheet.one-basis', { drive: valueSaid(driveSaid(state)) })}
        </Typography>
        <Term id="doubt" /> <Term id="en" />
        {isPressure(measures) ? <Term id="pressure-basis" /> : null}
        {caseFile.companion?.kind === 'second-track' ? <Term id="pair" /> : null}
        {sources.length === 0 && !noSensor && (
          <Typography>
            {t('ui-sheet.nothing-compare-yet-state-read', {
              which: isPressure(measures) ? t('ui-sheet.gauge-live-data') : t('ui-sheet.live-data'),
            })}
          </Typography>
        )}
        {sources.length > 0 && (
          <Table
            size="small"
            aria-label={
              isPressure(measures) ? t('ui-sheet.pressures-one-basis') : t('ui-sheet.values-compared')
            }
          >
            <TableHead>
              <TableRow>
                <TableCell>{t('ui-sheet.source')}</TableCell>
                <TableCell align="right">{titled(measurandSaid(measures))}</TableCell>
                {absolute && (
                  <TableCell align="right" sx={WIDE_ONLY}>
                    {ambient ? t('ui-sheet.against-ambient') : t('ui-sheet.against-ambient-not-given')}
                  </TableCell>
                )}
                <TableCell align="right">{t('ui-sheet.doubt-k-2')}</TableCell>
                <TableCell sx={WIDE_ONLY}>{t('ui-sheet.mostly-from')}</TableCell>
              </TableRow>
            </TableHead>
            <TableBody>
              {sources.map(({ name, measured }) => (
                <TableRow key={name}>
                  <TableCell component="th" scope="row">
                    <Said title message={sourceSaid(name)} />
                  </TableCell>
                  <Numeral>
                    {measured.bound
                      ? titled(
                          say('compare.bound', {
                            bound: measured.bound === 'at-or-above' ? 'above' : 'below',
                            value: verbatim(show(measured.value)),
                          }),
                        )
                      : show(measured.value)}
                    {absolute && ambient && (
                      <Box component="span" sx={{ ...NARROW_ONLY, fontSize: '0.85rem' }}>
                        {vacuumInWords(measured.value, ambient, units)}
                      </Box>
                    )}
                  </Numeral>
                  {absolute && (
                    <Numeral sx={WIDE_ONLY}>
                      {ambient ? vacuumInWords(measured.value, ambient, units) : '–'}
                    </Numeral>
                  )}
                  <Numeral>±{show(measured.expandedUncertainty)}</Numeral>
                  <TableCell sx={WIDE_ONLY}>
                    <LargestTerm terms={measured.terms} />
                  </TableCell>
                </TableRow>
              ))}
            </TableBody>
          </Table>
        )}
        {pairs.map((pair) => (
          <Typography key={pair.b} sx={{ mt: 1 }}>
            <Said message={pairSaid({ ...pair, a: sourceSaid(pair.a), b: sourceSaid(pair.b) }, measures)} />
          </Typography>
        ))}
        {noSensor && (
          <Typography sx={{ mt: 1 }}>
            ✕ <Said message={noSensor} />
          </Typography>
        )}
        {sources.length > 0 && pairs.length === 0 && !noSensor && (
          <Typography sx={{ mt: 1 }}>
            {sources[0]?.name === 'sensor'
              ? t('ui-sheet.nothing-beside-sensor-yet-comparison')
              : t('ui-sheet.signal-sensor-plug-not-been')}
          </Typography>
        )}
      </Box>
      {tracks && (
        <Box>
          <Typography variant="h2">{t('ui-sheet.track-against-track')}</Typography>
          <Typography>
            <Said message={trackPairSaid(tracks)} />
          </Typography>
        </Box>
      )}
      {familyOf(caseFile.family).needs === 'displacement' && (
        <AirflowCheck
          // Of another state other figures are read.
          key={state.engine}
          {...{ jobId, caseFile, state, units, simulated }}
          onKeep={onEngineFlow}
        />
      )}
      <BeforeAfterTable caseFile={caseFile} units={units} />
      <Box>
        {sources.map(({ name, measured }) => (
          <BudgetTable
            key={name}
            of={said(sourceSaid(name))}
            measured={measured}
            measures={measures}
            units={units}
          />
        ))}
      </Box>
    </Box>
  );
}

function LargestTerm({ terms }: { terms: readonly UncertaintyTerm[] }) {
  const [first] = budgetRows(terms);
  return first ? <Said message={first.source} /> : '–';
}
