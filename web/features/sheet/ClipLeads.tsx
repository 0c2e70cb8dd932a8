import Box from '@mui/material/Box';
import { useTheme } from '@mui/material/styles';
import { attachmentSaid, type Attachment, type ProbePoint } from '@lettura/core/machine/places';
import { useLayoutEffect, useRef, useState } from 'react';
import { said, t } from '../../ui/words.ts';

interface Lead {
  words: string;
  widthPx: number;
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
      aria-label={
        leads.length > 0
          ? t('ui-sheet.clipped-on', { leads: leads.map(({ words }) => words).join('; ') })
          : undefined
      }
      aria-hidden={leads.length === 0}
      sx={{ position: 'absolute', inset: 0, width: '100%', height: '100%', pointerEvents: 'none' }}
    >
      {leads.map(({ words, from, to, widthPx }) => (
        <g key={words} fill="none" stroke={palette.primary.main} strokeWidth="3" strokeLinecap="round">
          <path d={to ? between(from, to, widthPx) : stub(from, widthPx)} />
          {[from, ...(to ? [to] : [])].map(({ x, y }) => (
            <circle key={`${x} ${y}`} cx={x} cy={y} r="5" fill={palette.background.paper} />
          ))}
        </g>
      ))}
    </Box>
  );
}

/** A lead hangs beside its pads and below its lane, so that it is not taken for a wire. */
function between(a: Lead['from'], b: Lead['from'], widthPx: number): string {
  const side = a.x > widthPx / 2 ? -BULGE_PX : BULGE_PX;
  return Math.abs(a.x - b.x) < 2
    ? `M${a.x} ${a.y} C${a.x + side} ${a.y} ${b.x + side} ${b.y} ${b.x} ${b.y}`
    : `M${a.x} ${a.y} C${a.x} ${a.y + BULGE_PX} ${b.x} ${b.y + BULGE_PX} ${b.x} ${b.y}`;
}

/** Away to the battery or a source that is not on the sheet. */
const stub = ({ x, y }: Lead['from'], widthPx: number): string =>
  `M${x} ${y} q ${x > widthPx / 2 ? -4 : 4} ${STUB_PX / 2} ${x > widthPx / 2 ? -STUB_PX : STUB_PX} ${STUB_PX / 2}`;

function leadOf(attachment: Attachment, sheet: HTMLElement): Lead | undefined {
  const words = said(attachmentSaid(attachment));
  const widthPx = sheet.clientWidth;
  if (attachment.kind === 'voltage-source') {
    const at = spotOf(attachment.at, sheet);
    return at && { words, widthPx, from: at, to: undefined };
  }
  const [from, to] = [spotOf(attachment.from, sheet), spotOf(attachment.to, sheet)];
  return from ? { words, widthPx, from, to } : to && { words, widthPx, from: to, to: undefined };
}

/** At the side of the pad that faces the middle of the sheet, where a clip hides no digits; a pin is at the plug. */
function spotOf(point: ProbePoint, sheet: HTMLElement): { x: number; y: number } | undefined {
  if (typeof point === 'string') return undefined;
  const place = point.place === 'pin' ? 'plug' : point.place;
  const pad = sheet.querySelector(`[data-point="${point.lane}:${place}"]`);
  if (!pad) return undefined;
  const [outer, inner] = [sheet.getBoundingClientRect(), pad.getBoundingClientRect()];
  const x = place === 'plug' ? inner.left + INSET_PX : inner.right - INSET_PX;
  return { x: x - outer.left, y: inner.top - outer.top + inner.height / 2 };
}
const INSET_PX = 9;
