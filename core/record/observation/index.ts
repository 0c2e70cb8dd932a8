export {
  CODE_LOOKS,
  isCodeLook,
  OBSERVATION_IDS,
  observationOf,
  observationsFor,
  type CodeLookId,
  type Observation,
  type ObservationId,
  type ObservationMade,
  type PlainLookId,
} from './observations.ts';
