export {
  expectedReading,
  whyNoExpectation,
  type Expectation,
  type ExpectationContext,
} from './expectedReading.ts';
