import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';

import type { MachineState, Target } from '@lettura/core/evidence';
import { canBePumped } from '@lettura/core/family';
import { ambientIsStale } from '@lettura/core/quantity';
import { findingsIn } from '@lettura/core/reasoning';
import { startingInWords } from '@lettura/core/starting';
import { changesNothing, NO_WHAT_IF, type Reaches, type WhatIf } from '@lettura/core/weighing';
import { looksRight } from '@lettura/bench';
import { useEffect, useMemo, useRef, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { Link, useParams, useSearchParams } from 'react-router';
import { useRestoreJobMutation } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { ageInWords, placeInWords } from '../../ui/inWords.ts';
import { useNow } from '../../ui/useNow.ts';
import { machineOf } from '../bench/index.ts';
import { OutboxBanner } from '../outbox/index.ts';
import { WeighingProvider } from '../weighing/index.ts';
import { DoneBar } from './DoneBar.tsx';
import { Lanes } from './Lanes.tsx';
import { NextReadingPanel } from './NextReadingPanel.tsx';
import { padIn } from './padOf.ts';
import { QuickEntryBar } from './QuickEntryBar.tsx';
import { quickEntryExample } from './quickEntryExample.ts';
import { SheetSection } from './SheetSection.tsx';
import { SheetPaper } from './SheetPaper.tsx';
import { SectionTabs, sectionFrom } from './SectionTabs.tsx';
import { draftTyped, pointSelected, reachSet, selectInHand, stateSet } from './sheetSlice.ts';
import { StandingPanel } from './StandingPanel.tsx';
import { StretchDetail } from './StretchDetail.tsx';
import { StateBar } from './StateBar.tsx';
import { StimulusBar } from './StimulusBar.tsx';
import { useEntry } from './useEntry.ts';
import { useGoTo } from './useGoTo.ts';
import { useSheet, type Sheet } from './useSheet.ts';
import { useSheetKeys } from './useSheetKeys.ts';
import { WhatIfBanner, WhatIfPanel } from './WhatIfPanel.tsx';

const NO_REACHES: Reaches = {};

/** The job sheet: one continuous sheet for one job, with the reasoning always beside it. */
export default function SheetPage() {
  const { jobId = '' } = useParams();
  const { sheet, error } = useSheet(jobId);
  if (error) {
    const { message, next } = requestProblem(error);
    return (
      <Trouble message={message} next={next}>
        <Button component={Link} to="/" variant="contained">
          All jobs
        </Button>
      </Trouble>
    );
  }
  return sheet ? <LoadedSheet sheet={sheet} /> : <Loading what="the job" />;
}

function LoadedSheet({ sheet }: { sheet: Sheet }) {
  const { job, vehicle, sensor, caseFile, lanes } = sheet;
  const jobId = job.id;
  const { state, selected, draft, correcting, reaches = NO_REACHES } = useSelector(selectInHand(jobId));
  const units = useSelector(selectUnits);
  const dispatch = useDispatch();
  const [search, setSearch] = useSearchParams();
  const section = sectionFrom(search.get('section'));
  const entry = useEntry(sheet);
  const [tried, setTried] = useState<WhatIf>(NO_WHAT_IF);
  const onRecord = changesNothing(tried);
  const whatIf = useMemo(() => ({ ...tried, reaches }), [tried, reaches]);
  const { remarks } = useMemo(() => findingsIn(caseFile), [caseFile]);
  const machine = job.bench && machineOf(job.bench);
  const now = useNow();
  const input = useRef<HTMLInputElement>(null);
  const [restore] = useRestoreJobMutation();
  const deleted = job.deletedAt !== undefined;

  const show = (name: typeof section) =>
    setSearch({ ...Object.fromEntries(search), section: name }, { replace: true });
  const select = (target: Target) => {
    dispatch(pointSelected({ jobId, target }));
    entry.clearProblem();
    show('reading');
  };
  const type = (text: string) => {
    dispatch(draftTyped({ jobId, draft: text }));
    entry.clearProblem();
  };
  /** Brings state and point into hand, whatever section is open. */
  const bring = (target: Target, wanted: MachineState) => {
    dispatch(stateSet({ jobId, stimulus: undefined, harness: undefined, ...wanted }));
    dispatch(pointSelected({ jobId, target }));
    entry.clearProblem();
    input.current?.focus();
  };
  const { goTo, probes } = useGoTo(sheet, { entry, bring, show, setSearch });
  useSheetKeys({
    input,
    onUndo: () => entry.done?.undo(),
  });
  useEffect(() => {
    document.title = `${vehicle.name} · Lettura`;
  }, [vehicle.name]);

  const ambientReading = sheet.standing.findLast(({ kind }) => kind === 'ambient');
  const ambientStale =
    ambientReading?.kind === 'ambient' &&
    ambientIsStale(ambientReading.ambient.source, now - Date.parse(ambientReading.takenAt));
  const ambientAge = ambientReading && ageInWords(ambientReading.takenAt, now);

  return (
    <WeighingProvider caseFile={caseFile} wires={lanes} whatIf={whatIf}>
      <Box
        sx={{
          display: 'grid',
          gridTemplateColumns: 'minmax(0, 1fr)',
          gridTemplateRows: 'auto auto 1fr auto',
          height: { md: '100vh' },
          minHeight: '100vh',
        }}
      >
        <PageHeader title={[vehicle.name, job.complaint, ...job.codes].join(' · ')}>
          <Button component={Link} to="/reference" color="inherit">
            Reference
          </Button>
          <Button component={Link} to={`/jobs/${jobId}/report`} color="inherit">
            Report
          </Button>
        </PageHeader>
        <Box>
          <OutboxBanner />
          {deleted && (
            <Alert
              severity="warning"
              sx={{ borderRadius: 0 }}
              action={
                <Button color="inherit" onClick={() => void restore(jobId)}>
                  Restore
                </Button>
              }
            >
              This job was deleted. Its record is kept; restore it to go on.
            </Alert>
          )}
          <Box sx={{ px: 2, py: 0.75 }}>
            <StateBar
              state={state}
              onChange={(change) => dispatch(stateSet({ jobId, ...change }))}
              stimulus={
                <StimulusBar
                  family={sensor.family}
                  state={state}
                  units={units}
                  onChange={(change) => dispatch(stateSet({ jobId, ...change }))}
                />
              }
              ambient={caseFile.ambient}
              ambientAge={ambientAge}
              ambientStale={ambientStale}
              absoluteUnit={units.absolute}
              onAmbient={() => show('ambient')}
            />
          </Box>
        </Box>
        <Box
          component="main"
          sx={{
            display: 'grid',
            // Wide: the reasoning stands beside everything. Portrait: the lanes take the whole width above both.
            gridTemplateAreas: {
              xs: '"lanes" "section" "reasoning"',
              sm: section === 'wires' ? '"section reasoning"' : '"lanes lanes" "section reasoning"',
              md: section === 'wires' ? '"section reasoning"' : '"lanes reasoning" "section reasoning"',
            },
            gridTemplateColumns: {
              xs: 'minmax(0, 1fr)',
              sm: 'minmax(0, 1fr) 320px',
              md: 'minmax(0, 1fr) 376px',
            },
            gridTemplateRows: {
              md: section === 'wires' ? 'minmax(0, 1fr)' : 'max-content minmax(220px, 1fr)',
            },
            // A body with six wires leaves little room below its lanes.
            overflowY: { md: 'auto' },
            gap: 1.5,
            px: 2,
            pb: 1.5,
            minHeight: 0,
          }}
        >
          {/* While the wires are being found, nobody can probe one by its name yet. */}
          {section !== 'wires' && (
            <SheetPaper area="lanes">
              <Lanes
                caseFile={caseFile}
                lanes={lanes}
                selected={selected}
                padOf={(target) => padIn(sheet, target, state, units)}
                onSelect={select}
                harness={state.harness}
                stretch={(lane, view, close) => (
                  <StretchDetail
                    sheet={sheet}
                    lane={lane}
                    view={view}
                    units={units}
                    onMeasure={() => {
                      close();
                      setSearch({ section: 'isolate', part: 'wires', wire: lane }, { replace: true });
                    }}
                  />
                )}
              />
            </SheetPaper>
          )}
          <SheetPaper area="section" scroll>
            <SectionTabs
              section={section}
              without={[
                ...(canBePumped(sensor.family) ? [] : (['pump'] as const)),
                ...(job.bench ? [] : (['bench'] as const)),
              ]}
              onChoose={show}
            />
            <Box role="tabpanel" aria-label={section} sx={{ pt: 1 }}>
              <SheetSection
                section={section}
                sheet={sheet}
                triedOn={!onRecord}
                probes={probes}
                lanes={lanes}
                entry={entry}
                onDraft={type}
                onType={() => input.current?.focus()}
                onGo={bring}
              />
            </Box>
          </SheetPaper>
          <SheetPaper area="reasoning" scroll>
            {!onRecord && <WhatIfBanner onClear={() => setTried(NO_WHAT_IF)} />}
            <NextReadingPanel
              family={caseFile.family}
              onGo={goTo}
              onLooked={entry.enterObservation}
              look={machine && ((observation) => looksRight(machine, observation))}
              reaches={reaches}
              onReach={(place, reach) => dispatch(reachSet({ jobId, place, reach }))}
            />
            <Box sx={{ borderTop: 2, borderColor: 'divider', mt: 1, pt: 1 }}>
              <StandingPanel
                remarks={remarks}
                starting={startingInWords(whatIf.starting ?? caseFile.starting)}
              >
                <WhatIfPanel {...{ sheet, whatIf, units }} onChange={setTried} />
              </StandingPanel>
            </Box>
          </SheetPaper>
        </Box>
        <Box sx={{ position: 'sticky', bottom: 0, zIndex: 2 }}>
          {entry.done && <DoneBar done={entry.done} onClose={entry.dismissDone} />}
          <QuickEntryBar
            place={placeInWords(selected)}
            example={quickEntryExample(selected.kind, caseFile)}
            draft={draft}
            problem={entry.problem}
            correcting={correcting !== undefined}
            disabled={deleted}
            inputRef={input}
            onDraft={type}
            onSave={() => entry.enter(draft)}
          />
        </Box>
      </Box>
    </WeighingProvider>
  );
}
