import {
  fixed,
  list,
  NOTHING_TO_SAY,
  pressure,
  say,
  type Message,
  type MessageList,
} from '../../measure/message/index.ts';
import type { Attachment, HarnessWork, ProbePoint } from './harnessWork.ts';
import type { Lane, Place } from './lanes.ts';
import type { Drive, EngineState, MachineState, PlugState, Stimulus, StimulusKind } from './machineState.ts';
import type { GaugeTap } from './spots.ts';

/** Places and states as messages, so that whatever names one names it alike. */
export const laneSaid = (lane: Lane): Message => say(`lane.${lane}`);
/** A place along a wire. */
export const placeSaid = (place: Place): Message => say(`place.${place}`);
/** What key and engine do. */
export const engineSaid = (engine: EngineState): Message => say(`engine.${engine}`);
/** What is done to the sensor, without how far. */
export const stimulusKindSaid = (kind: StimulusKind): Message => say(`stimulus.${kind}`);
/** How the plug stands. */
export const plugSaid = (plug: PlugState): Message => say(`plug.${plug}`);
/** Where a gauge is connected. */
export const tapSaid = (tap: GaugeTap): Message => say(`tap.${tap}`);

/** What is done to the sensor; by hand with how far. */
export const stimulusSaid = (stimulus: Stimulus): Message =>
  stimulus.kind === 'held'
    ? say('stimulus.held-at', { percent: fixed(stimulus.percent, 0, '%') })
    : stimulusKindSaid(stimulus.kind);

/** What drives the sensor; how its plug stands is said beside it where that matters. */
export const driveSaid = ({ engine, stimulus }: Drive): MessageList =>
  list([engineSaid(engine), ...(stimulus ? [stimulusSaid(stimulus)] : [])]);

/** Where a pump stands, in kPa above ambient; below it as vacuum. */
export const pumpSettingSaid = (kpaAboveAmbient: number): Message =>
  say('stimulus.pump-setting', {
    size: pressure(Math.abs(kpaAboveAmbient), kpaAboveAmbient < 0 ? 'vacuum' : undefined),
    below: kpaAboveAmbient < 0,
  });

/** The same with the setting of a pump, which tells one step from the next. */
const driveSetSaid = ({ engine, stimulus }: Drive): MessageList =>
  stimulus?.kind === 'pump'
    ? list([
        engineSaid(engine),
        say('stimulus.pump-at', { setting: pumpSettingSaid(stimulus.kpaAboveAmbient) }),
      ])
    : driveSaid({ engine, ...(stimulus ? { stimulus } : {}) });

/** How something was read; that the plug was connected goes without saying where `briefly`. */
export const conditionsSaid = (state: MachineState, briefly = false): MessageList =>
  list([
    ...driveSetSaid(state).list,
    ...(briefly && state.plug === 'connected' ? [] : [plugSaid(state.plug)]),
    ...harnessSaid(state.harness).list,
  ]);

/** Engine, stimulus, plug and what is clipped on; a pump without its setting. */
export const stateSaid = (state: MachineState): MessageList =>
  list([...driveSaid(state).list, plugSaid(state.plug), ...harnessSaid(state.harness).list]);

/** Where a probe stands. */
export function pointSaid(point: ProbePoint): Message {
  if (typeof point === 'string') return say(`point.${point}`);
  return point.place === 'pin'
    ? say('point.pin', { lane: laneSaid(point.lane) })
    : say('point.at', { lane: laneSaid(point.lane), place: placeSaid(point.place) });
}

/** Two points of one wire, or of one place, without saying the common part twice. */
export function pairSaid(from: ProbePoint, to: ProbePoint): Message {
  if (typeof from !== 'string' && typeof to !== 'string') {
    if (from.lane === to.lane && from.place !== 'pin' && to.place !== 'pin')
      return say('pair.one-wire', {
        lane: laneSaid(from.lane),
        from: placeSaid(from.place),
        to: placeSaid(to.place),
      });
    if (from.place === to.place)
      return from.place === 'pin'
        ? say('pair.pins', { from: laneSaid(from.lane), to: laneSaid(to.lane) })
        : say('pair.one-place', {
            from: laneSaid(from.lane),
            to: laneSaid(to.lane),
            place: placeSaid(from.place),
          });
  }
  return say('pair.points', { from: pointSaid(from), to: pointSaid(to) });
}

/** What is clipped on, and where. */
export function attachmentSaid(attachment: Attachment): Message {
  switch (attachment.kind) {
    case 'jumper':
    case 'meter':
    case 'test-light':
      return say(`attachment.${attachment.kind}`, { pair: pairSaid(attachment.from, attachment.to) });
    case 'voltage-source':
      return say('attachment.voltage-source', { volts: attachment.volts, point: pointSaid(attachment.at) });
  }
}

/** All that is clipped on, unplugged and moved; nothing where the harness is as the vehicle has it. */
export const harnessSaid = (work: HarnessWork | undefined): MessageList =>
  work
    ? list([
        ...work.attachments.map(attachmentSaid),
        ...(work.neighboursOff.length > 0 ? [say('harness.neighbours-off')] : []),
        ...(work.wiggled ? [say('harness.wiggled')] : []),
      ])
    : NOTHING_TO_SAY;
