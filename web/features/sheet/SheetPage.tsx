import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import useEventCallback from '@mui/utils/useEventCallback';
import type { MachineState, Target } from '@lettura/core/machine/places';
import { canBePumped } from '@lettura/core/machine/family';
import { ambientIsStale } from '@lettura/core/measure/quantity';
import { findingsIn, siblingsThatFit } from '@lettura/core/judge/checks';
import { startingInWords } from '@lettura/core/judge/priors';
import type { ObservationId } from '@lettura/core/record/observation';
import {
  changesNothing,
  NO_WHAT_IF,
  type Reach,
  type Reachable,
  type Reaches,
  type WhatIf,
} from '@lettura/core/judge/weighing';
import { looksRight } from '@lettura/bench';
import { memo, useDeferredValue, useEffect, useMemo, useRef, useState } from 'react';
import { useDispatch, useSelector } from 'react-redux';
import { Link, useParams, useSearchParams } from 'react-router';
import { useListSensorsQuery, useRestoreJobMutation } from '../../app/api.ts';
import { PageHeader } from '../../app/PageHeader.tsx';
import { selectUnits } from '../../app/preferences.ts';
import { requestProblem } from '../../app/requestProblem.ts';
import { Loading, Trouble } from '../../ui/Centred.tsx';
import { placeInWords } from '../../ui/inWords.ts';
import { ageInWords } from '../../ui/when.ts';
import { useNow } from '../../ui/useNow.ts';
import { machineOf } from '../bench/index.ts';
import { OutboxBanner } from '../outbox/index.ts';
import { NewerIsKnown, WeighingProvider } from '../weighing/index.ts';
import { useScreen } from '../../ui/useScreen.ts';
import { Glance, REASONING_ID, StandingLine } from './Glance.tsx';
import { StateStrip } from './StateStrip.tsx';
import { ThumbPad } from './ThumbPad.tsx';
import { DoneBar } from './DoneBar.tsx';
import { NextReadingPanel } from './NextReadingPanel.tsx';
import { QuickEntryBar } from './QuickEntryBar.tsx';
import { quickEntryExample } from './quickEntryExample.ts';
import { SheetSection } from './SheetSection.tsx';
import { type LaneStretch } from './Segment.tsx';
import { SheetLanes } from './SheetLanes.tsx';
import { SheetPaper } from './SheetPaper.tsx';
import { SectionTabs } from './SectionTabs.tsx';
import { sectionFrom } from './sections.ts';
import { draftTyped, pointSelected, reachSet, stateSet } from './sheetSlice.ts';
import { StandingPanel } from './StandingPanel.tsx';
import { StateBar } from './StateBar.tsx';
import { useEntry } from './useEntry.ts';
import { useGoTo } from './useGoTo.ts';
import { useInHand } from './useInHand.ts';
import { useLanesForm } from './useLanesForm.ts';
import { unitKey } from './unitKey.ts';
import { useSheet, type Sheet } from './useSheet.ts';
import { useSheetKeys } from './useSheetKeys.ts';
import { WhatIfPanel } from './WhatIfPanel.tsx';
import { WhatIfBanner } from './WhatIfBanner.tsx';
import { t } from '../../ui/words.ts';

const NO_REACHES: Reaches = {};

/** The job sheet: one continuous sheet for one job, with the reasoning always beside it. */
export default function SheetPage() {
  const { jobId = '' } = useParams();
  const { sheet: newest, error, away } = useSheet(jobId);
  // What was just entered is drawn in small pieces: whoever types on is not held up, nor by what the server answers to it.
  const drawn = useDeferredValue(newest);
  const sheet = drawn?.job.id === jobId ? drawn : newest;
  // Only asked for by a sheet that is there.
  const known = useEventCallback(() => newest!);
  if (error) {
    const { message, next } = requestProblem(error);
    return (
      <Trouble message={message} next={next}>
        <Button component={Link} to="/" variant="contained">
          {t('ui-sheet.all-jobs')}
        </Button>
      </Trouble>
    );
  }
  return sheet ? (
    <NewerIsKnown value={sheet !== newest}>
      <LoadedSheet key={jobId} sheet={sheet} newest={known} away={away} />
    </NewerIsKnown>
  ) : (
    <Loading what={t('ui-sheet.the-job')} />
  );
}

const SheetHeader = memo(function SheetHeader({ title, jobId }: { title: string; jobId: string }) {
  return (
    <PageHeader title={title}>
      <Button component={Link} to="/reference" color="inherit">
        {t('ui-sheet.reference')}
      </Button>
      <Button component={Link} to={`/jobs/${jobId}/report`} color="inherit">
        {t('ui-sheet.report')}
      </Button>
    </PageHeader>
  );
});

interface LoadedSheetProps {
  /** As it is drawn. */
  sheet: Sheet;
  /** As it is known: always the same function. */
  newest: () => Sheet;
  away: boolean;
}

const LoadedSheet = memo(function LoadedSheet({ sheet, newest, away }: LoadedSheetProps) {
  const { job, vehicle, sensor, caseFile, lanes } = sheet;
  const jobId = job.id;
  const { state, selected, correcting, reaches = NO_REACHES } = useInHand(jobId);
  const units = useSelector(selectUnits);
  const dispatch = useDispatch();
  const [search, setSearch] = useSearchParams();
  const section = sectionFrom(search.get('section'));
  const entry = useEntry(jobId, newest);
  const [tried, setTried] = useState<WhatIf>(NO_WHAT_IF);
  const onRecord = changesNothing(tried);
  const whatIf = useMemo(() => ({ ...tried, reaches }), [tried, reaches]);
  const { data: library } = useListSensorsQuery();
  const isPractice = sheet.bench !== undefined;
  const remarks = useMemo(() => {
    // A simulated machine has its own sensor: nobody is told to put a practice job on another.
    const others = isPractice
      ? []
      : (library ?? []).filter(({ lineageId }) => lineageId !== sensor.lineageId);
    return [...siblingsThatFit(caseFile, others), ...findingsIn(caseFile).remarks];
  }, [caseFile, library, sensor.lineageId, isPractice]);
  const machine = sheet.bench && machineOf(sheet.bench);
  const now = useNow();
  const screen = useScreen();
  const lanesForm = useLanesForm(section);
  const input = useRef<HTMLInputElement>(null);
  const [restore] = useRestoreJobMutation();
  const deleted = job.deletedAt !== undefined;

  // The same functions all along, so that what they are given to is drawn anew only when it shows something else.
  const show = useEventCallback((name: typeof section) =>
    setSearch({ ...Object.fromEntries(search), section: name }, { replace: true }),
  );
  const select = useEventCallback((target: Target) => {
    dispatch(pointSelected({ jobId, target }));
    entry.clearProblem();
    show('reading');
  });
  const type = useEventCallback((text: string) => {
    dispatch(draftTyped({ jobId, draft: text }));
    entry.clearProblem();
  });
  const measure = useEventCallback(({ lane }: LaneStretch) =>
    setSearch({ section: 'isolate', part: 'wires', wire: lane }, { replace: true }),
  );
  const save = useEventCallback((text: string) => void entry.enter(text));
  const setState = useEventCallback(
    (change: Partial<MachineState>) => void dispatch(stateSet({ jobId, ...change })),
  );
  const reach = useEventCallback(
    (place: Reachable, how: Reach) => void dispatch(reachSet({ jobId, place, reach: how })),
  );
  /** Brings state and point into hand, whatever section is open. */
  const bring = (target: Target, wanted: MachineState) => {
    dispatch(stateSet({ jobId, stimulus: undefined, harness: undefined, ...wanted }));
    dispatch(pointSelected({ jobId, target }));
    entry.clearProblem();
    input.current?.focus();
  };
  const { goTo, probes } = useGoTo(sheet, { entry, bring, show, setSearch });
  const go = useEventCallback(goTo);
  const looked = useEventCallback(entry.enterObservation);
  const look = useEventCallback((observation: ObservationId) => looksRight(machine!, observation));
  useSheetKeys({
    input,
    onUndo: entry.undo,
  });
  useEffect(() => {
    document.title = `${vehicle.name} · Lettura`;
  }, [vehicle.name]);

  const showAmbient = useEventCallback(() => show('ambient'));
  const { ambient: ambientReading } = sheet;
  const ambientStale =
    ambientReading !== undefined &&
    ambientIsStale(ambientReading.ambient.source, now - Date.parse(ambientReading.takenAt));
  const ambientAge = ambientReading && ageInWords(ambientReading.takenAt, now);

  const machineState = {
    state,
    onChange: setState,
    family: sensor.family,
    ambient: caseFile.ambient,
    ambientAge,
    ambientStale,
    units,
    onAmbient: showAmbient,
  };
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
        <SheetHeader title={[vehicle.name, job.complaint, ...job.codes].join(' · ')} jobId={jobId} />
        <Box>
          <OutboxBanner away={away} />
          {deleted && (
            <Alert
              severity="warning"
              sx={{ borderRadius: 0 }}
              action={
                <Button color="inherit" onClick={() => void restore(jobId)}>
                  {t('ui-sheet.restore')}
                </Button>
              }
            >
              {t('ui-sheet.job-deleted-record-kept-restore')}
            </Alert>
          )}
          <Box sx={{ px: { xs: 1, sm: 2 }, py: 0.75 }}>
            {screen === 'phone' ? <StateStrip {...machineState} /> : <StateBar {...machineState} />}
          </Box>
          {screen === 'phone' && <Glance onGo={go} onLooked={looked} look={machine && look} />}
        </Box>
        <Box
          component="main"
          sx={{
            display: 'grid',
            // Wide: the reasoning stands beside everything. Portrait: the lanes take the whole width above both.
            gridTemplateAreas: {
              // In a hand: what is worked at first, the rest below it.
              xs: '"section" "lanes" "reasoning"',
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
            px: { xs: 1, sm: 2 },
            pb: 1.5,
            minHeight: 0,
          }}
        >
          {/* While the wires are being found, nobody can probe one by its name yet. */}
          {section !== 'wires' && (
            <SheetPaper area="lanes">
              {lanesForm.change && (
                <Button
                  size="small"
                  color="inherit"
                  onClick={lanesForm.change}
                  sx={{ position: 'absolute', top: 0, left: 0, minHeight: 32, minWidth: 0, zIndex: 1 }}
                >
                  {lanesForm.form === 'full' ? t('ui-sheet.lanes-close-up') : t('ui-sheet.lanes-open-up')}
                </Button>
              )}
              <SheetLanes
                {...{ sheet, selected, state, units }}
                form={lanesForm.form}
                onSelect={select}
                onMeasure={measure}
              />
            </SheetPaper>
          )}
          <SheetPaper area="section" scroll>
            <SectionTabs
              section={section}
              pumped={canBePumped(sensor.family)}
              simulated={job.bench !== undefined}
              onChoose={show}
            />
            <Box
              role="tabpanel"
              aria-label={t(`ui-sheet.tab-${section}`)}
              sx={{
                pt: 1,
                overflowX: 'auto',
                position: 'relative',
                // A thumb's width is no place for margins between columns.
                '& th, & td': { px: { xs: 0.5, sm: 2 } },
              }}
            >
              <SheetSection
                section={section}
                sheet={sheet}
                triedOn={!onRecord}
                probes={probes}
                lanes={lanes}
                entry={entry}
                onDraft={type}
                onSave={save}
                onType={() => input.current?.focus()}
                onGo={bring}
              />
            </Box>
          </SheetPaper>
          <SheetPaper area="reasoning" id={REASONING_ID} scroll>
            {screen === 'tablet' && <StandingLine />}
            {!onRecord && <WhatIfBanner onClear={() => setTried(NO_WHAT_IF)} />}
            <NextReadingPanel
              family={caseFile.family}
              onGo={go}
              onLooked={looked}
              look={machine && look}
              reaches={reaches}
              onReach={reach}
              hasPair={caseFile.companion?.kind === 'second-track'}
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
          <DoneBar last={entry.done} />
          <QuickEntryBar
            jobId={jobId}
            place={placeInWords(selected)}
            example={quickEntryExample(selected.kind, caseFile)}
            problem={entry.problem}
            correcting={correcting !== undefined}
            disabled={deleted}
            inputRef={input}
            onDraft={type}
            onSave={save}
            keypad={
              screen !== 'laptop' &&
              section === 'reading' && (
                <ThumbPad jobId={jobId} unit={unitKey(selected, caseFile)} onDraft={type} onSave={save} />
              )
            }
          />
        </Box>
      </Box>
    </WeighingProvider>
  );
});
