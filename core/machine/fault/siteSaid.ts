import { say, type Message } from '../../measure/message/index.ts';
import { laneSaid } from '../places/index.ts';
import type { FaultKindId } from '../kinds/index.ts';
import type { Joint } from '../wiring/index.ts';
import type { Site } from './site.ts';

/** Where along its wire a joint is: `between control unit and inline connector`. */
export const jointSaid = (joint: Joint): Message => say(`joint.${joint}`);

/** A place where a kind of fault can be. */
export function siteSaid(kind: FaultKindId, site: Site): Message {
  switch (site.in) {
    case 'joint': {
      const lane = laneSaid(site.wire);
      return site.joint === 'inside'
        ? say('site.joint-inside', { lane })
        : say('site.joint', { lane, joint: jointSaid(site.joint) });
    }
    case 'joints':
      return say('site.joints', { ...bothWires(site.wires), joint: jointSaid(site.joint) });
    case 'wires':
      return say('site.wires', bothWires(site.wires));
    case 'wire':
      return say(`site.${ofWire(kind)}`, { lane: laneSaid(site.wire) });
    case 'bias':
      return say('site.bias', { lane: laneSaid(site.wire) });
    case 'rail':
      return say('site.rail', { rail: railSaid(site.rail) });
    case 'neighbour':
      return site.rail === 0
        ? say('site.neighbour-on-first', { number: site.neighbour + 1 })
        : say('site.neighbour', { number: site.neighbour + 1, rail: railSaid(site.rail) });
    case 'track':
      return say(`site.track-${site.part}`, {
        track: site.tracks === 2 ? say('site.track-of-two', { track: site.track }) : say('site.only-track'),
      });
    case 'element':
      return site.reads ? say('site.element-off', { reads: site.reads }) : say('site.element');
    case 'unit-ground':
    case 'thermistor':
    case 'hose':
    case 'hoses':
    case 'linkage':
    case 'duct':
    case 'passages':
    case 'engine':
      return say(`site.${site.in}`);
  }
}

/** The same as briefly as it can be told: the wires, or the part. */
export function briefSite(kind: FaultKindId, site: Site): Message {
  if (site.in === 'rail') return railSaid(site.rail);
  if (site.in === 'bias') return siteSaid(kind, site);
  if ('wires' in site) return say('site.brief-wires', bothWires(site.wires));
  if (!('wire' in site)) return siteSaid(kind, site);
  const lane = laneSaid(site.wire);
  if (kind === 'unit-pin-open') return say('site.brief-pin', { lane });
  if (kind === 'unit-does-not-read') return say('site.brief-input', { lane });
  return site.in === 'joint' && site.joint === 'inside'
    ? say('site.brief-joint', { lane })
    : say('site.brief-wire', { lane });
}

const railSaid = (rail: number): Message =>
  rail === 0 ? say('site.first-reference') : say('site.other-reference', { number: rail + 1 });

const bothWires = ([first, second]: readonly [
  Parameters<typeof laneSaid>[0],
  Parameters<typeof laneSaid>[0],
]) => ({
  first: laneSaid(first),
  second: laneSaid(second),
});

/** A wire that touches something, or the pin or the input of the unit that it ends at. */
function ofWire(kind: FaultKindId): 'to-ground' | 'to-battery' | 'pin' | 'input' {
  if (kind === 'wire-to-ground') return 'to-ground';
  if (kind === 'wire-to-battery') return 'to-battery';
  return kind === 'unit-pin-open' ? 'pin' : 'input';
}
