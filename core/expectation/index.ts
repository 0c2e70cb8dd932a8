export {
  expectedReading,
  NORMAL_RETURN_VOLTS,
  REFERENCE_TOLERANCE_VOLTS,
  whyNoExpectation,
  type Expectation,
  type ExpectationContext,
} from './expectedReading.ts';
