import type { Companion } from '@lettura/core/measure/companion';
import type { Layout } from '@lettura/core/recording/file';
import type { ChannelUse } from '@lettura/core/recording/sweep';
import { z } from 'zod';
import type { PressureBasis } from '@lettura/core/measure/quantity';
import { CHANNEL_USES, isPressureUnit, pressureAndBasis } from '@lettura/core/recording/sweep';
import { stored } from '../../app/stored.ts';

/** What each channel is, confirmed once for files with the same columns, and remembered in this browser. */
const remembered = stored('lettura.sweepUses', z.record(z.string(), z.array(z.enum(CHANNEL_USES))), {});

/** Files of one source have the same columns. */
const sourceOf = (channels: readonly { name: string; unit: string }[]): string =>
  channels.map(({ name, unit }) => `${name}|${unit}`).join('\n');

const VOLTS = /^(?:m?v|volts?)$/iu;
const SECOND = /\b(2|two|second|b)\b|2$/iu;
const REVS = /^(rpm|1\/min|min-1|u\/min)$/iu;
const REFERENCE = /ref|supply|vref/iu;
const LIVE = /live|scan|ecu|obd|pid/iu;

/** What the channels of a file are: as confirmed before, else by names and units. */
export function usesOf(
  channels: readonly { name: string; unit: string }[],
  companion: Companion | undefined,
): ChannelUse[] {
  const known = remembered.load()[sourceOf(channels)];
  if (known?.length === channels.length) return known;
  const used = new Set<ChannelUse>();
  const take = (use: ChannelUse): ChannelUse => {
    if (used.has(use)) return 'other';
    used.add(use);
    return use;
  };
  return channels.map(({ name, unit }): ChannelUse => {
    const isVolts = unit === '' || VOLTS.test(unit);
    if (REFERENCE.test(name) && isVolts) return take('reference');
    if (REVS.test(unit)) return take('revs');
    if (!isVolts) return LIVE.test(name) || !isPressureUnit(unit) ? take('live') : take('stimulus');
    if (companion && (SECOND.test(name) || used.has('signal'))) return take('second-signal');
    return take('signal');
  });
}

/** What a pressure counts from, where its name or unit says so. */
export function basisOf({ name, unit }: { name: string; unit: string }): PressureBasis | undefined {
  if (!isPressureUnit(unit)) return undefined;
  const written = pressureAndBasis(unit).basis;
  if (written) return written;
  if (/vac/iu.test(name)) return 'vacuum';
  if (/\babs|map\b|baro/iu.test(name)) return 'absolute';
  return /gauge|gage|\brel/iu.test(name) ? 'gauge' : undefined;
}

export const rememberUses = (
  channels: readonly { name: string; unit: string }[],
  uses: readonly ChannelUse[],
): void => remembered.save({ ...remembered.load(), [sourceOf(channels)]: [...uses] });

/** The channels that a layout will give: every column but the moments. */
export const channelsOf = ({ columns, timeColumn }: Layout): { name: string; unit: string }[] =>
  columns.filter((_, i) => i !== timeColumn).map(({ name, unit }) => ({ name, unit }));
