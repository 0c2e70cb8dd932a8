export {
  expectedReading,
  whyNoExpectation,
  type Expectation,
  type ExpectationContext,
} from './expectedReading.ts';
export { fitOf, isOffBand, type Fit } from './fit.ts';
