import type { Telegrams } from '@lettura/core/recording/telegram';
import type { Envelope, SweepFinding, SweepMark } from '@lettura/core/recording/sweep';
import {
  extremesOf,
  frameOf,
  MARGIN,
  paintAcross,
  paintEnvelope,
  paintMarks,
  paintRulers,
  paintValues,
  PlotCanvas,
  roomyDomain,
  useInk,
  usePainter,
  type Frame,
  type Ink,
  type Surface,
} from '../../ui/plot/index.ts';
import { framesFit, paintFrames } from './paintFrames.ts';
import { RULER_NAMES, type Rulers } from './rulers.ts';
import { t } from '../../ui/words.ts';

export interface SweepStripProps {
  name: string;
  unit: string;
  envelope: Envelope;
  /** Of another recording over the same stretch, drawn behind. */
  other?: Envelope | undefined;
  fromSeconds: number;
  toSeconds: number;
  findings: readonly SweepFinding[];
  marked: SweepFinding | undefined;
  marks: readonly SweepMark[];
  /** Whether it is one recording less another: faults belong to neither of them alone. */
  isDifference: boolean;
  /** Whose frames are drawn over the line, as soon as there is room for them. */
  telegrams?: Telegrams | undefined;
  rulers: Rulers;
  heightPx: number;
  /** The lowest strip carries the scale of time. */
  last: boolean;
}

const TIME_TICKS = 8;
const BELOW_PX = 38;
const FRAMES_SHARE = 0.16;
/** Less than this of the view, and a finding is drawn as wide as one can see. */
const HAIR_SHARE = 0.004;

/** One channel over time: between the lowest and the highest of every column, so that nothing is left out at any zoom. */
export function SweepStrip(props: SweepStripProps) {
  const { name, unit, other, isDifference, fromSeconds, toSeconds, heightPx } = props;
  const ink = useInk();
  const inView = props.findings.filter(
    ({ fromSeconds: from, untilSeconds, weight }) =>
      !isDifference && weight === 'fault' && untilSeconds >= fromSeconds && from <= toSeconds,
  );
  const canvas = usePainter((surface) => paintStrip(surface, { ...props, findings: inView }, ink));
  const drawn = t('ui-sweeps.over-time-faults-view', {
    name,
    which: unit ? t('ui-sweeps.in', { unit }) : '',
    length: inView.length,
    which2: other ? t('ui-sweeps.another-recording-beside') : '',
  });
  const label = isDifference ? t('ui-sweeps.difference-over-time', { name }) : drawn;
  return <PlotCanvas canvas={canvas} label={label} heightPx={heightPx} />;
}

function paintStrip(surface: Surface, props: SweepStripProps, ink: Ink): void {
  const { unit, envelope, other, fromSeconds, toSeconds, findings, marked, marks, last } = props;
  const range = [fromSeconds, toSeconds] as const;
  const lines = roomyDomain(...extremesOf(envelope, ...(other ? [other] : [])), unit);
  const telegrams =
    props.telegrams && framesFit(props.telegrams, range, surface.width) ? props.telegrams : undefined;
  // Frames stand above their line.
  const domain = telegrams ? ([lines[0], lines[1] + FRAMES_SHARE * (lines[1] - lines[0])] as const) : lines;
  const frame = frameOf(surface, range, domain, last ? BELOW_PX : MARGIN.top);
  paintAcross(surface, frame, range, {
    ticks: TIME_TICKS,
    label: last ? t('ui-sweeps.seconds') : undefined,
    ink,
  });
  paintValues(surface, frame, domain, ink);
  paintUnit(surface, frame, unit);
  for (const finding of findings) paintFinding(surface, frame, range, finding, finding === marked, ink);
  const across = 1;
  if (other) paintEnvelope(surface, frame, other, { colour: ink.mark, width: 4, opacity: 0.55, across });
  paintEnvelope(surface, frame, envelope, { colour: ink.line, width: 1.4, across });
  paintMarks(
    surface,
    frame,
    marks.map(({ atSeconds }) => atSeconds),
    ink,
  );
  if (telegrams) paintFrames(surface, frame, range, telegrams, ink);
  paintRulers(surface, frame, props.rulers, RULER_NAMES, ink);
}

function paintUnit({ draw }: Surface, { top, bottom }: Frame, unit: string): void {
  draw.save();
  draw.translate(12, (top + bottom) / 2);
  draw.rotate(-Math.PI / 2);
  draw.textAlign = 'center';
  draw.fillText(unit, 0, 0);
  draw.restore();
}

function paintFinding(
  { draw }: Surface,
  { x, left, right, top, bottom }: Frame,
  [from, to]: readonly [number, number],
  { fromSeconds, untilSeconds }: SweepFinding,
  isMarked: boolean,
  ink: Ink,
): void {
  const half = Math.max(0, HAIR_SHARE * (to - from) - (untilSeconds - fromSeconds)) / 2;
  const start = Math.max(left, x(fromSeconds - half));
  const end = Math.min(right, x(untilSeconds + half));
  draw.save();
  draw.fillStyle = ink.fault;
  draw.globalAlpha = isMarked ? 0.4 : 0.18;
  draw.fillRect(start, top, end - start, bottom - top);
  draw.restore();
}
