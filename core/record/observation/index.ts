export {
  CODE_LOOKS,
  isCodeLook,
  observationOf,
  observationsFor,
  type CodeLookId,
  type Observation,
  type ObservationMade,
  type PlainLookId,
} from './observations.ts';
export { OBSERVATION_IDS, type ObservationId } from './observationIds.ts';
