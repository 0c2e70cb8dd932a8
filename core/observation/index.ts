export {
  OBSERVATION_IDS,
  observationOf,
  observationsFor,
  type Observation,
  type ObservationId,
  type ObservationMade,
} from './observations.ts';
