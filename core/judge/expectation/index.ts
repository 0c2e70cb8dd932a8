export {
  expectedReading,
  whyNoExpectation,
  type Expectation,
  type ExpectationContext,
} from './expectedReading.ts';
export { fitOf, type Fit } from './fit.ts';
