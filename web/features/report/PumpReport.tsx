import Table from '@mui/material/Table';
import TableBody from '@mui/material/TableBody';
import TableCell from '@mui/material/TableCell';
import TableHead from '@mui/material/TableHead';
import TableRow from '@mui/material/TableRow';
import Box from '@mui/material/Box';
import { pumpStepSaid, readPumpSteps, type CaseFile } from '@lettura/core/judge/checks';
import { pumpSettingSaid } from '@lettura/core/machine/places';
import { expectedPulsesSaid } from '@lettura/core/judge/expectation';
import { COMMON_VACUUM_GAUGE } from '@lettura/core/measure/uncertainty';
import { expectationInWords, valueInWords } from '../../ui/inWords.ts';
import { Said } from '../../ui/Said.tsx';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import { PumpOutcome } from '../sheet/index.ts';
import { Heading } from './Heading.tsx';

/** What was read at each setting of the pump since the last work, as a table and beside the curve. */
export function PumpReport({ caseFile, units }: { caseFile: CaseFile; units: Units }) {
  const { profile, ambient } = caseFile;
  const points = readPumpSteps(caseFile, COMMON_VACUUM_GAUGE);
  if (points.length === 0) return null;
  return (
    <Box sx={{ breakInside: 'avoid' }}>
      <Heading>{t('ui-report.pump-steps')}</Heading>
      <Table
        size="small"
        aria-label={t('ui-report.pump-steps')}
        sx={{ '& td, & th': { px: { xs: 0.5, sm: 2 } } }}
      >
        <TableHead>
          <TableRow>
            <TableCell>{t('ui-report.pump-setting')}</TableCell>
            <TableCell>{t('ui-report.expected')}</TableCell>
            <TableCell>{t('ui-sheet.value')}</TableCell>
            <TableCell>{t('ui-report.step-agreed')}</TableCell>
          </TableRow>
        </TableHead>
        <TableBody>
          {points.map(({ kpaAboveAmbient, expected, counts, reading, judged }) => (
            <TableRow key={kpaAboveAmbient}>
              <TableCell>
                <Said message={pumpSettingSaid(kpaAboveAmbient)} />
              </TableCell>
              <TableCell>
                {expected &&
                  expectationInWords(
                    expected,
                    { kind: 'wire', lane: 'signal', place: 'plug' },
                    units,
                    ambient,
                  )}
                {counts && <Said message={expectedPulsesSaid(counts)} />}
              </TableCell>
              <TableCell>{valueInWords(reading, units)}</TableCell>
              <TableCell>{judged && <Said message={pumpStepSaid(judged, profile.measures)} />}</TableCell>
            </TableRow>
          ))}
        </TableBody>
      </Table>
      {(profile.measures !== 'absolute-pressure' || ambient) && (
        <PumpOutcome
          points={points}
          profile={profile}
          ambientKpaAbs={ambient?.pressureKpaAbs ?? 0}
          unit={units.absolute}
        />
      )}
    </Box>
  );
}
