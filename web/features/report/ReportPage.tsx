import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { isMended, isWithdrawn, proofOf } from '@lettura/contract';
import {
  ENGINE_STATES,
  isTarget,
  sameState,
  stateSaid,
  type MachineState,
} from '@lettura/core/machine/places';
import { formatPressure } from '@lettura/core/measure/quantity';
import { comparisonsIn, findingsIn, pairSaid, sourceSaid } from '@lettura/core/judge/checks';
import { startingInWords } from '@lettura/core/judge/priors';
import { useEffect, useMemo, useRef } from 'react';
import { useSelector } from 'react-redux';
import { Link, useParams } from 'react-router';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { causeInWords } from '../../ui/causeInWords.ts';
import { ambientSourceInWords, conditionsInWords, upperFirst } from '../../ui/inWords.ts';
import { dayAndTime } from '../../ui/when.ts';
import { FindingList } from '../sweeps/index.ts';
import { useWeighing } from '../weighing/index.ts';
import { GateList, Lanes, padIn, RecordTable, useSheet, type Sheet } from '../sheet/index.ts';
import { Fold } from '../../ui/Fold.tsx';
import { SavePdf } from './SavePdf.tsx';
import { WorkshopForm } from './WorkshopForm.tsx';
import { WorkshopHead } from './WorkshopHead.tsx';
import { PumpReport } from './PumpReport.tsx';
import { RecordingPictures } from './RecordingPictures.tsx';
import { RepairReport } from './RepairReport.tsx';
import { Heading } from './Heading.tsx';
import { Said } from '../../ui/Said.tsx';
import { downloadText } from '../../ui/downloadText.ts';
import { onePage, SCREEN_ONLY } from '../../ui/onePage.ts';
import { fileName } from '../../ui/fileName.ts';
import { SaveJob } from '../../ui/SaveJob.tsx';
import { list, say } from '@lettura/core/measure/message';
import { valueSaid, t } from '../../ui/words.ts';

/** The job on paper: what was read, what it proves, and what was decided. */
export default function ReportPage() {
  const { jobId = '' } = useParams();
  const { sheet, error } = useSheet(jobId);
  if (error) return <Trouble {...requestProblem(error)} />;
  return sheet ? <Report sheet={sheet} /> : <Loading what={t('ui-report.the-report')} />;
}

function Report({ sheet }: { sheet: Sheet }) {
  const { job, vehicle, sensor, caseFile, verdicts, lanes } = sheet;
  const { weighing } = useWeighing(caseFile, lanes);
  const { findings } = useMemo(() => findingsIn(caseFile), [caseFile]);
  const units = useSelector(selectUnits);
  const { ambient } = sheet;
  // One that was withdrawn counts for nothing, and is no part of what the customer gets.
  const recordings = sheet.recordings.filter((one) => !isWithdrawn(one));
  // Before it is known whether anything is left to read, nothing is said to be unproven.
  const isLooking = weighing?.verdict.sentence.code === 'verdict.looking';
  const [leader] = weighing?.causes ?? [];
  const starting = startingInWords(caseFile.starting);
  const repaired = isMended(proofOf(sheet));
  const paper = useRef<HTMLElement>(null);
  useEffect(() => {
    document.title = t('ui-report.page', { name: vehicle.name });
  }, [vehicle.name]);
  return (
    <Box
      ref={paper}
      component="main"
      sx={{
        maxWidth: 900,
        mx: 'auto',
        p: 3,
        bgcolor: 'background.paper',
        minHeight: '100vh',
        '@media screen': { overflowX: 'auto' },
      }}
    >
      <Box
        {...SCREEN_ONLY}
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, mb: 2, '@media print': { display: 'none' } }}
      >
        <Button component={Link} to={`/jobs/${job.id}`} variant="outlined">
          {t('ui-report.back-sheet')}
        </Button>
        <Button variant="contained" onClick={() => window.print()}>
          {t('ui-report.print')}
        </Button>
        {/* Before it is weighed, a page that is kept would say for ever that it is being weighed. */}
        <Button
          variant="outlined"
          color="inherit"
          disabled={!weighing || isLooking}
          onClick={() => {
            const { name } = vehicle;
            if (paper.current)
              void onePage(paper.current, t('ui-report.page', { name })).then((text) =>
                downloadText(`lettura-report-${fileName(name)}.html`, 'text/html', text),
              );
          }}
        >
          {t('ui-report.save-as-page')}
        </Button>
        <SavePdf jobId={job.id} machine={vehicle.name} unsent={sheet.unsentIds.size} units={units} />
        <SaveJob jobId={job.id} machine={vehicle.name} unsent={sheet.unsentIds.size} />
      </Box>
      <Box {...SCREEN_ONLY} sx={{ '@media print': { display: 'none' } }}>
        <Fold summary={t('ui-report.head-of-reports')}>
          <WorkshopForm />
        </Fold>
      </Box>
      <WorkshopHead />
      <Typography variant="h1">{vehicle.name}</Typography>
      <Typography>
        {t('ui-report.codes-opened', {
          complaint: job.complaint,
          codes: job.codes.join(', ') || t('ui-report.none'),
          dayAndTime: dayAndTime(job.openedAt),
        })}
      </Typography>
      {job.history && <Typography>{t('ui-report.before', { history: job.history })}</Typography>}
      <Typography>
        {t('ui-report.sensor-version-ambient', {
          name: sensor.name,
          version: sensor.version,
          source: sensor.source,
          which:
            caseFile.ambient && ambient
              ? t('ui-report.from', {
                  pressureKpaAbs: formatPressure(caseFile.ambient.pressureKpaAbs, units.absolute),
                  expandedUncertaintyKpa: formatPressure(
                    caseFile.ambient.expandedUncertaintyKpa,
                    units.absolute,
                  ),
                  ambientSource: ambientSourceInWords(ambient.ambient, units),
                })
              : t('ui-report.not-given'),
        })}
      </Typography>
      {job.formerly?.map(({ until, what, name }) => (
        <Typography key={`${until} ${what}`}>
          {t(`ui-jobs.formerly-${what}`, { when: dayAndTime(until), name })}
        </Typography>
      ))}

      <Heading>{t('ui-report.verdict')}</Heading>
      {verdicts.length === 0 && (
        <Typography sx={{ fontWeight: 700 }}>{t('ui-report.none-recorded')}</Typography>
      )}
      {/* All of them in their order: what was thought first is part of how it was found. */}
      {verdicts.map(({ id, cause, decidedAt, note }) => (
        <Box key={id} sx={{ mb: 0.5 }}>
          <Typography sx={{ fontWeight: 700 }}>{causeInWords(cause)}</Typography>
          <Typography>
            {dayAndTime(decidedAt)}. {note}
          </Typography>
        </Box>
      ))}

      <RepairReport sheet={sheet} units={units} />

      <Heading>{t(repaired ? 'ui-report.anything-else' : 'ui-report.readings-say')}</Heading>
      <Typography>
        {weighing && !isLooking ? (
          <>
            {!weighing.verdict.decided &&
              t(repaired ? 'ui-report.nothing-else-not-proven' : 'ui-report.not-proven-yet')}{' '}
            <Said message={weighing.verdict.sentence} />
          </>
        ) : (
          t('ui-report.readings-being-weighed')
        )}
      </Typography>
      {starting.length > 0 && (
        <Typography>
          {t('ui-report.weighed-with')}{' '}
          <Said message={say('report.starting', { list: list(starting, 'semicolons') })} />.
        </Typography>
      )}
      {weighing?.disagreements.map(({ sentence }) => (
        <Typography key={JSON.stringify(sentence)} sx={{ fontWeight: 600 }}>
          ✕ <Said message={sentence} />
        </Typography>
      ))}
      {leader && weighing && <GateList gate={weighing.gate} title={leader.title} />}
      {leader && (
        <Box component="ul" aria-label={t('ui-report.why')} sx={{ pl: 2.5 }}>
          {[...leader.speaksFor, ...leader.speaksAgainst].map(({ readingId, sentence, factor }) => (
            <li key={readingId}>
              <strong>{factor > 1 ? t('ui-report.for') : t('ui-report.against')}:</strong>{' '}
              <Said message={sentence} />
            </li>
          ))}
        </Box>
      )}
      <Box component="ul" sx={{ pl: 2.5 }}>
        {findings.map(({ code, sentence }) => (
          <li key={code}>
            <Said message={sentence} />
          </li>
        ))}
      </Box>

      {statesRead(sheet).map((state) => (
        <Box key={valueSaid(stateSaid(state))} sx={{ breakInside: 'avoid' }}>
          <Heading>{upperFirst(conditionsInWords(state, units))}</Heading>
          <Lanes
            caseFile={caseFile}
            lanes={lanes}
            selected={{ kind: 'scan' }}
            harness={state.harness}
            padOf={(target) => {
              // Paper shows what was read; what to expect is for before the reading.
              const {
                elsewhere: _elsewhere,
                expected: _expected,
                ...pad
              } = padIn(sheet, target, state, units);
              return pad;
            }}
          />
          {state.plug === 'connected' &&
            !state.harness &&
            comparisonsIn(caseFile, state).pairs.map((pair) => (
              <Typography key={pair.b} variant="body2" sx={{ mt: 0.5 }}>
                <Said
                  message={pairSaid(
                    { ...pair, a: sourceSaid(pair.a), b: sourceSaid(pair.b) },
                    caseFile.profile.measures,
                  )}
                />
              </Typography>
            ))}
        </Box>
      ))}

      <PumpReport caseFile={caseFile} units={units} />

      {recordings.length > 0 && (
        <>
          <Heading>{t('ui-report.recordings')}</Heading>
          {recordings.map(({ id, name, takenAt, findings }) => (
            <Box key={id} sx={{ breakInside: 'avoid' }}>
              <Typography sx={{ fontWeight: 700 }}>
                {name}, {dayAndTime(takenAt)}
              </Typography>
              <FindingList findings={findings} />
              <RecordingPictures recordingId={id} name={name} />
            </Box>
          ))}
        </>
      )}

      <Heading>{t('ui-report.all-readings')}</Heading>
      <RecordTable sheet={sheet} units={units} />
      <Typography variant="body2" sx={{ mt: 2, color: 'text.secondary' }}>
        {t('ui-report.voltages-against-battery-negative-doubts')}
      </Typography>
    </Box>
  );
}

/** Every state that something was read in, in the order of work; pump steps have a table of their own. */
function statesRead({ standing }: Sheet): MachineState[] {
  const states: MachineState[] = [];
  for (const reading of standing) {
    if (!('state' in reading) || reading.state.stimulus?.kind === 'pump') continue;
    const { state } = reading;
    if (!isTarget(reading)) continue; // between two points: in the list below
    if (!states.some((one) => sameState(one, state))) states.push(state);
  }
  const order = ({ engine, plug, stimulus, harness }: MachineState): number =>
    (harness ? 1000 : 0) +
    (plug === 'connected' ? 0 : 100) +
    10 * ENGINE_STATES.indexOf(engine) +
    (stimulus ? 1 : 0);
  return states.sort((a, b) => order(a) - order(b));
}
