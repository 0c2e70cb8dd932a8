export { expectedReading } from './expectedReading.ts';
export { expectedPulses, expectedPulsesSaid, type ExpectedPulses } from './expectedPulses.ts';
export { whyNoExpectation } from './whyNoExpectation.ts';
export { type Expectation, type ExpectationContext } from './expectation.ts';
export { fitOf, isOffBand, type Fit } from './fit.ts';
