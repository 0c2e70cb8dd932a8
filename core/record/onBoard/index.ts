export { fromSerialText, toSerialText, type CanFrame } from './canFrame.ts';
export { codeFromBytes, codeToBytes } from './codeBytes.ts';
export { MONITOR_IDS, monitorSaid, type MonitorId } from './monitors.ts';
export { readinessBytes, readinessFrom, type Readiness } from './readiness.ts';
export {
  answered,
  answerTo,
  codesFrom,
  FROZEN_FOR,
  READINESS,
  refusedWith,
  requestFor,
  SERVICES,
  SUPPORTED_LISTS,
  supportedBytes,
  supportedFrom,
  VEHICLE_NUMBER,
  vehicleNumberFrom,
  type RefusalId,
  type ServiceAnswer,
  type ServiceId,
} from './services.ts';
export { framesOf, GO_ON, Receiver, type Received } from './transport.ts';
export {
  CODE_KEEPINGS,
  codesNow,
  frozenSaid,
  keptSaid,
  unitSaid,
  type CodeKeeping,
  type UnitReport,
} from './unitReport.ts';
export { askedWith, sameUnit, unitName, unitOf, type Asked, type UnitAddress } from './unitAddress.ts';
