import Box from '@mui/material/Box';
import MuiLink from '@mui/material/Link';
import Typography from '@mui/material/Typography';
import type { KnownGoodRecord, Reading } from '@lettura/contract';
import { knownGoodOf, type KnownGood as Band } from '@lettura/core/judge/knownGood';
import {
  isTarget,
  sameState,
  sameTarget,
  type MachineState,
  type Target,
} from '@lettura/core/machine/places';
import { useMemo } from 'react';
import { Link } from 'react-router';
import { useKnownGoodQuery } from '../../app/api.ts';
import { Fold } from '../../ui/Fold.tsx';
import { valueInWords } from '../../ui/inWords.ts';
import type { Units } from '../../ui/units.ts';
import { t } from '../../ui/words.ts';
import type { Sheet } from './useSheet.ts';

export interface KnownGoodProps {
  sheet: Sheet;
  state: MachineState;
  target: Target;
  units: Units;
}

const FRESH_SECONDS = 20;

/** What this workshop has read here on other machines that were proven good; nothing where there is none yet. */
export function KnownGood({ sheet, state, target, units }: KnownGoodProps) {
  // A repair may have been proven on another job just now.
  const { data } = useKnownGoodQuery(sheet.sensor.id, { refetchOnMountOrArgChange: FRESH_SECONDS });
  const found = useMemo(
    () => data && readHere(data, sheet.job.id, state, target),
    [data, sheet.job.id, state, target],
  );
  const band = found && knownGoodOf(found.values);
  if (!found || !band) return null;
  const said = (value: number) => valueInWords(withValue(found.example, value), units);
  return (
    <Box sx={{ my: 0.5 }}>
      <Typography variant="body2">
        {t('ui-sheet.known-good', {
          readings: band.readings,
          jobs: band.jobs,
          isSpread: band.isSpread,
          leftOut: band.leftOut.length,
          isOne: said(band.lowest) === said(band.highest),
          lowest: said(band.lowest),
          highest: said(band.highest),
          median: said(band.median),
        })}
      </Typography>
      <Fold summary={t('ui-sheet.known-good-from')}>
        <Jobs {...{ data: data!, band, read: found.jobIds }} />
      </Fold>
    </Box>
  );
}

function Jobs({ data, band, read }: { data: KnownGoodRecord; band: Band; read: ReadonlySet<string> }) {
  return (
    <>
      <Box component="ul" sx={{ m: 0, pl: 2.5 }}>
        {data.jobs
          .filter(({ jobId }) => read.has(jobId))
          .map(({ jobId, vehicleName, provenBy }) => (
            <li key={jobId}>
              <MuiLink component={Link} to={`/jobs/${jobId}`} sx={{ color: 'text.primary' }}>
                {vehicleName}
              </MuiLink>
              : {provenBy === 'repair' ? t('ui-sheet.good-by-repair') : t('ui-sheet.good-nothing-wrong')}
              {band.leftOut.includes(jobId) && t('ui-sheet.good-left-out')}
            </li>
          ))}
      </Box>
      {data.jobsInAll > data.lookedAt && (
        <Typography variant="body2">
          {t('ui-sheet.good-newest-only', { lookedAt: data.lookedAt, all: data.jobsInAll })}
        </Typography>
      )}
    </>
  );
}

type Valued = Extract<Reading, { kind: Target['kind'] }>;

/** Readings of this very point in this very state, on other jobs; of a gauge only those in the basis of the first. */
function readHere({ jobs }: KnownGoodRecord, ownJobId: string, state: MachineState, target: Target) {
  const here = jobs
    .filter(({ jobId }) => jobId !== ownJobId)
    .flatMap(({ readings }) => readings)
    .filter((one): one is Valued => isTarget(one))
    .filter((one) => sameTarget(one, target) && sameState(one.state, state));
  const [example] = here;
  if (!example) return undefined;
  const alike = here.filter(
    (one) => one.kind !== 'gauge' || (example.kind === 'gauge' && one.basis === example.basis),
  );
  return {
    example,
    jobIds: new Set(alike.map(({ jobId }) => jobId)),
    values: alike.map((one) => ({ jobId: one.jobId, value: valueOf(one) })),
  };
}

const valueOf = (reading: Valued): number =>
  'volts' in reading ? reading.volts : reading.kind === 'gauge' ? reading.pressureKpa : reading.value;

function withValue(reading: Valued, value: number): Reading {
  if ('volts' in reading) return { ...reading, volts: value };
  return reading.kind === 'gauge' ? { ...reading, pressureKpa: value } : { ...reading, value };
}
