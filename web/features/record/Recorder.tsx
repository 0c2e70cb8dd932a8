import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Typography from '@mui/material/Typography';
import type { SimulatedHand } from '@lettura/bench';
import type { Problem } from '@lettura/core/problem';
import { sweepGuides, type GuideStep } from '@lettura/core/reasoning';
import { sweepBand, type ChannelUse, type Recording } from '@lettura/core/sweep';
import { useEffect, useMemo, useState, type ReactNode } from 'react';
import { useSelector } from 'react-redux';
import { selectUnits } from '../../app/preferences.ts';
import { useSource, type CaptureInfo, type LiveSource } from '../live/index.ts';
import type { Sheet } from '../sheet/index.ts';
import { usesOf } from '../sweeps/index.ts';
import { GuideSteps } from './GuideSteps.tsx';
import { Leftovers } from './Leftovers.tsx';
import { LiveAgainst } from './LiveAgainst.tsx';
import { LiveChannel } from './LiveChannel.tsx';
import { MarksAndNote } from './MarksAndNote.tsx';
import { useCapture } from './useCapture.ts';
import { useKeepCapture } from './useKeepCapture.ts';

export interface RecorderProps {
  sheet: Sheet;
  source: LiveSource;
  hand: SimulatedHand | undefined;
  /** The choice of a source, which is fixed while it records. */
  choice: ReactNode;
  onBusy: (busy: boolean) => void;
}

const WINDOWS_SECONDS = [10, 30, 120];
/** As long as a hand takes, in seconds. */
const MOVES = { 'slow-travel': 4, snap: 0.06, pump: 0.8, revs: 0 } as const;
const MOST_STRIPS = 4;
const MOST_NAME_LETTERS = 120;

/** One source as it comes, and the recording of it. */
export function Recorder({ sheet, source, hand, choice, onBusy }: RecorderProps) {
  const units = useSelector(selectUnits);
  const { sensor, caseFile, job } = sheet;
  const [uses, setUses] = useState<ChannelUse[]>(() => [
    ...(source.uses ?? usesOf(source.channels, sensor.companion)),
  ]);
  const [windowSeconds, setWindowSeconds] = useState(30);
  const [against, setAgainst] = useState(false);
  const [note, setNote] = useState('');
  const [problem, setProblem] = useState<Problem>();
  const [keeping, setKeeping] = useState(false);
  const guides = useMemo(
    () => sweepGuides(caseFile, { vacuum: units.vacuum, absolute: units.absolute }),
    [caseFile, units.vacuum, units.absolute],
  );
  const [guideId, setGuideId] = useState(guides[0]?.id as string | undefined);
  const [at, setAt] = useState(0);
  const guide = guides.find(({ id }) => id === guideId);
  const step = guide?.steps[at];
  const capture = useCapture(job.id, source, uses);
  const keep = useKeepCapture(sheet, units.absolute);
  const view = useSource(source, capture.take);
  const { running } = capture;
  useEffect(() => onBusy(running), [running, onBusy]);
  const band = sweepBand({
    profile: sensor.profile,
    companion: sensor.companion,
    uses,
    pressureUnit: units.absolute,
  });

  const name = `${guide?.name ?? 'Live'}, ${source.name}`.slice(0, MOST_NAME_LETTERS);
  const keepOrSay = async (info: CaptureInfo, recording: Recording) => {
    setKeeping(true);
    const refused = await keep(info, recording);
    setProblem(refused);
    setKeeping(false);
    return refused;
  };
  const start = () => {
    setProblem(undefined);
    setAt(0);
    capture.start(name);
  };
  const stop = async () => {
    setKeeping(true);
    const taken = await capture.stop({ name, note });
    if (taken) await keepOrSay(taken.info, taken.recording);
    else setKeeping(false);
  };
  const mark = () => {
    capture.mark(step?.words ?? `Mark ${capture.marks.length + 1}`, step?.expectedVolts);
    if (guide && at < guide.steps.length - 1) setAt(at + 1);
  };
  const moveHand = (to: GuideStep) => {
    if (guide) hand?.moveTo(to.state, MOVES[guide.id], Date.now());
  };
  useEffect(() => {
    const onKey = (event: KeyboardEvent) => {
      if (event.ctrlKey || event.metaKey || event.altKey || event.repeat || typingIn(event.target)) return;
      const key = event.key.toLowerCase();
      if (key === 'r' && !keeping) void (running ? stop() : view.fresh && start());
      else if (key === 'm' && running) mark();
      else return;
      event.preventDefault();
    };
    window.addEventListener('keydown', onKey);
    return () => window.removeEventListener('keydown', onKey);
  });

  // Those that mean something to this sensor come first; a unit may tell of a dozen.
  const strips = [...source.channels.keys()]
    .toSorted((a, b) => Number(uses[a] === 'other') - Number(uses[b] === 'other'))
    .filter((channel) => view.buffer.newest(channel) !== undefined)
    .filter((channel, i) => uses[channel] !== 'other' || i < MOST_STRIPS)
    .slice(0, MOST_STRIPS);
  return (
    <Box
      component="main"
      sx={{
        flex: 1,
        minHeight: 0,
        p: 1.5,
        display: 'grid',
        gap: 1.5,
        gridTemplateColumns: { xs: 'minmax(0, 1fr)', sm: 'minmax(0, 1fr) 300px', md: 'minmax(0, 1fr) 352px' },
      }}
    >
      <Box sx={{ ...PAPER, display: 'flex', flexDirection: 'column', minHeight: 0 }}>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center', mb: 0.5 }}>
          <Typography role="status" sx={{ flex: 1, minWidth: 200 }}>
            {statusInWords(view.fresh, view.status.state, view.status.message, view.ageMs)}
            {view.missed > 0 ? ` · ${view.missed} samples lost on the way` : ''}
          </Typography>
          {band && (
            <ToggleButton
              value="against"
              size="small"
              selected={against}
              onChange={() => setAgainst(!against)}
            >
              Against each other
            </ToggleButton>
          )}
          <ToggleButtonGroup
            exclusive
            size="small"
            aria-label="Seconds in view"
            value={windowSeconds}
            onChange={(_event, chosen: number | null) => chosen && setWindowSeconds(chosen)}
          >
            {WINDOWS_SECONDS.map((seconds) => (
              <ToggleButton key={seconds} value={seconds}>
                {seconds} s
              </ToggleButton>
            ))}
          </ToggleButtonGroup>
        </Box>
        <Box
          sx={{
            flex: 1,
            minHeight: 0,
            display: 'grid',
            gridTemplateColumns: against && band ? { xs: '1fr', md: 'minmax(0, 3fr) minmax(0, 2fr)' } : '1fr',
            opacity: view.fresh ? 1 : 0.45,
          }}
        >
          <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, minWidth: 0 }}>
            {strips.map((channel, i) => (
              <LiveChannel
                key={channel}
                channel={channel}
                view={view}
                of={source.channels[channel] ?? { name: '', unit: '' }}
                use={uses[channel] ?? 'other'}
                fixedUse={running || source.uses !== undefined}
                onUse={(use) => setUses(uses.map((other, n) => (n === channel ? use : other)))}
                profile={sensor.profile}
                pressureUnit={units.absolute}
                windowSeconds={windowSeconds}
                expected={uses[channel] === 'signal' ? step?.expectedVolts : undefined}
                marks={capture.marks}
                startedMs={running ? capture.startedMs : undefined}
                last={i === strips.length - 1}
              />
            ))}
          </Box>
          {against && band && (
            <Box
              sx={{ minHeight: 260, borderLeft: { md: 1 }, borderColor: { md: 'divider' }, pl: { md: 1 } }}
            >
              <LiveAgainst
                label={`${source.channels[band.up]?.name ?? ''} against ${source.channels[band.along]?.name ?? ''}, live, with the band where it belongs dashed`}
                buffer={view.buffer}
                band={band}
                channels={source.channels}
                windowSeconds={windowSeconds}
              />
            </Box>
          )}
        </Box>
      </Box>
      <Box sx={{ ...PAPER, overflowY: { md: 'auto' }, display: 'flex', flexDirection: 'column', gap: 1.25 }}>
        {/* What is being taken or sent is nothing left over. */}
        {!running && !keeping && <Leftovers jobId={job.id} onKeep={keepOrSay} />}
        {choice}
        <Box sx={{ display: 'grid', gridTemplateColumns: '3fr 2fr', gap: 1 }}>
          <Button
            variant="contained"
            size="large"
            color={running ? 'error' : 'primary'}
            disabled={keeping || (!running && !view.fresh)}
            onClick={() => (running ? void stop() : start())}
            aria-keyshortcuts="r"
          >
            {running ? 'Stop, keep (R)' : 'Record (R)'}
          </Button>
          <Button variant="outlined" size="large" disabled={!running} onClick={mark} aria-keyshortcuts="m">
            Mark (M)
          </Button>
        </Box>
        <Typography role="status" sx={{ minHeight: '1.5em' }}>
          {running
            ? `Recording: ${capture.samples.toLocaleString('en-GB')} samples.${view.fresh ? '' : ' Nothing arrives: the gap will show.'}`
            : keeping
              ? 'Putting it on the job …'
              : 'Nothing is recorded yet.'}
        </Typography>
        {capture.problem && <Alert severity="warning">{capture.problem}</Alert>}
        {problem && (
          <Alert severity="error">
            {problem.message} {problem.next} The recording is safe in this browser.
          </Alert>
        )}
        <GuideSteps
          guides={guides}
          guide={guide}
          at={at}
          onGuide={(id) => {
            setGuideId(id);
            setAt(0);
          }}
          onStep={setAt}
          onDo={hand ? moveHand : undefined}
        />
        <MarksAndNote marks={capture.marks} note={note} onNote={setNote} />
      </Box>
    </Box>
  );
}

const PAPER = {
  bgcolor: 'background.paper',
  border: 1,
  borderColor: 'sheet.rule',
  borderRadius: 1,
  p: 1.25,
  minWidth: 0,
} as const;

function statusInWords(
  fresh: boolean,
  state: string,
  message: string | undefined,
  ageMs: number | undefined,
): string {
  if (fresh) return `Live${message ? ` · ${message}` : ''}`;
  if (state === 'connecting') return 'Connecting …';
  const age = ageMs === undefined ? '' : `, last value ${(ageMs / 1000).toFixed(0)} s old`;
  return `Nothing arrives${age}${message ? `: ${message}` : ''}`;
}

const typingIn = (target: EventTarget | null): boolean =>
  target instanceof HTMLElement &&
  (target.isContentEditable ||
    /^(INPUT|TEXTAREA|SELECT)$/u.test(target.tagName) ||
    // An open list finds its entries by their letters.
    target.closest('[role="listbox"], [role="combobox"]') !== null);
