import { list, say, verbatim, type Message } from '../../../measure/message/index.ts';
import { laneSaid } from '../../../machine/places/index.ts';
import { jointSaid, PHYSICAL_SAID } from '../../../machine/fault/index.ts';
import { EARLIER_CAUSES, lanesOfCause, parseCause, type Cause } from './cause.ts';

/** What a cause is called once it leads. */
export function titleSaid(cause: Cause): Message {
  const wires = list(lanesOfCause(cause).map(laneSaid), 'and');
  switch (cause.of) {
    case 'wire':
      return cause.joint === 'plug'
        ? say('cause.plug-contact.title', { wires })
        : say('cause.wire.title', { wires, joint: jointSaid(cause.joint) });
    case 'plug-contacts':
      return say('cause.plug-contacts.title');
    case 'two-wires-open':
      return say('cause.two-wires-open.title', { wires, joint: jointSaid(cause.joint) });
    case 'wire-to-ground':
    case 'wire-to-battery':
    case 'wires-together':
    case 'unit-pin-open':
    case 'unit-does-not-read':
    case 'unit-bias-lost':
      return say(`cause.${cause.of}.title`, { wires });
    case 'unit-gives-no-reference':
      return cause.rail === 0
        ? say('cause.unit-gives-no-reference.title')
        : say('cause.unit-gives-no-second-reference.title');
    case 'unit-ground-raised':
    case 'rail-pulled-down':
    case 'nothing':
    case 'sensor':
    case 'wrong-part':
    case 'unlisted':
      return say(`cause.${cause.of}.title`);
    case 'hose':
    case 'hoses-swapped':
    case 'linkage':
    case 'unmetered-air':
    case 'restricted-passages':
    case 'low-vacuum':
      return say('cause.physical.title', { kind: PHYSICAL_SAID[cause.of].name });
  }
}

/** What to do once a cause is proven. */
export function remedySaid(cause: Cause): Message {
  switch (cause.of) {
    case 'wire':
      return cause.joint === 'plug'
        ? say('cause.plug-contact.remedy')
        : say('cause.wire.remedy', { joint: jointSaid(cause.joint) });
    case 'plug-contacts':
      return say('cause.plug-contact.remedy');
    case 'two-wires-open':
      return say('cause.two-wires-open.remedy', { joint: jointSaid(cause.joint) });
    case 'unit-pin-open':
    case 'unit-does-not-read':
    case 'unit-bias-lost':
      return say('cause.prove-unit.remedy');
    case 'wire-to-ground':
    case 'wire-to-battery':
    case 'wires-together':
    case 'unit-gives-no-reference':
    case 'unit-ground-raised':
    case 'rail-pulled-down':
    case 'nothing':
    case 'sensor':
    case 'wrong-part':
    case 'unlisted':
      return say(`cause.${cause.of}.remedy`);
    case 'hose':
    case 'hoses-swapped':
    case 'linkage':
    case 'unmetered-air':
    case 'restricted-passages':
    case 'low-vacuum':
      return say('cause.look-here.remedy', { hides: PHYSICAL_SAID[cause.of].hides });
  }
}

/** The title of a recorded cause, of any time; undefined for a name that never was one. */
export function causeTitle(id: string): Message | undefined {
  const cause = parseCause(id);
  if (cause) return titleSaid(cause);
  const earlier = EARLIER_CAUSES.find((name) => name === id);
  return earlier && say(`earlier-cause.${earlier}.title`);
}

/** The same, with the name itself where it is none that is known. */
export const titleOf = (id: string): Message =>
  causeTitle(id) ?? say('cause.unknown', { name: verbatim(id) });
