import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { attachmentWords, type Attachment, type ProbePoint } from '@lettura/core/evidence';
import { useLayoutEffect, useRef, useState } from 'react';

interface Lead {
  words: string;
  from: { x: number; y: number };
  /** Undefined where it leaves the sheet: to the battery, or from a source. */
  to: { x: number; y: number } | undefined;
}

const BULGE_PX = 34;
const STUB_PX = 22;

/** What is attached, drawn over the lanes where it is clipped on. Pads carry the name of their point in `data-point`. */
export function ClipLeads({ attachments }: { attachments: readonly Attachment[] }) {
  const { palette } = useTheme();
  const layer = useRef<SVGSVGElement>(null);
  const [leads, setLeads] = useState<Lead[]>([]);
  useLayoutEffect(() => {
    const sheet = layer.current?.parentElement;
    if (!sheet) return undefined;
    const measure = () =>
      setLeads(
        attachments.map((attachment) => leadOf(attachment, sheet)).filter((lead) => lead !== undefined),
      );
    measure();
    const observer = new ResizeObserver(measure);
    observer.observe(sheet);
    return () => observer.disconnect();
  }, [attachments]);
  return (
    <Box
      component="svg"
      ref={layer}
      role="img"
      aria-label={leads.length > 0 ? `Clipped on: ${leads.map(({ words }) => words).join('; ')}` : undefined}
      aria-hidden={leads.length === 0}
      sx={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      {leads.map(({ words, from, to }) => (
        <g key={words} fill="none" stroke={palette.primary.main} strokeWidth="3" strokeLinecap="round">
          <path
            d={to ? between(from, to) : `M${from.x} ${from.y} q 4 ${STUB_PX / 2} ${STUB_PX} ${STUB_PX / 2}`}
          />
          {[from, ...(to ? [to] : [])].map(({ x, y }) => (
            <circle key={`${x} ${y}`} cx={x} cy={y} r="5" fill={palette.background.paper} />
          ))}
        </g>
      ))}
    </Box>
  );
}

/** A lead sags to the side, so that it is not taken for a wire of the lane. */
const between = (a: Lead['from'], b: Lead['from']): string =>
  Math.abs(a.x - b.x) < 2
    ? `M${a.x} ${a.y} C${a.x + BULGE_PX} ${a.y} ${b.x + BULGE_PX} ${b.y} ${b.x} ${b.y}`
    : `M${a.x} ${a.y} C${a.x} ${a.y + BULGE_PX} ${b.x} ${b.y + BULGE_PX} ${b.x} ${b.y}`;

function leadOf(attachment: Attachment, sheet: HTMLElement): Lead | undefined {
  const words = attachmentWords(attachment);
  if (attachment.kind === 'voltage-source') {
    const at = spotOf(attachment.at, sheet);
    return at && { words, from: at, to: undefined };
  }
  const [from, to] = [spotOf(attachment.from, sheet), spotOf(attachment.to, sheet)];
  return from ? { words, from, to } : to && { words, from: to, to: undefined };
}

/** The lower right corner of the pad, where a clip hides no digits; the sensor's own pin is at the plug. */
function spotOf(point: ProbePoint, sheet: HTMLElement): { x: number; y: number } | undefined {
  if (typeof point === 'string') return undefined;
  const place = point.place === 'pin' ? 'plug' : point.place;
  const pad = sheet.querySelector(`[data-point="${point.lane}:${place}"]`);
  if (!pad) return undefined;
  const [outer, inner] = [sheet.getBoundingClientRect(), pad.getBoundingClientRect()];
  return { x: inner.right - outer.left - 12, y: inner.top - outer.top + inner.height / 2 };
}
