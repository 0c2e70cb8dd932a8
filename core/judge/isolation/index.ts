export { bridgedPastPlug, byItselfVolts, poweredByItself, type ByItself } from './byItself.ts';
export { answerRead, type IsolationAnswer } from './isolationAnswers.ts';
export { isolationTests, type IsolationTest } from './isolationTests.ts';
export { type IsolatedSensor } from './isolatedSensor.ts';
export { pinTests, type PinTest } from './pinTests.ts';
export { pinJudged, pinReading } from './pinReading.ts';
export { SUBSTITUTE_VOLTS } from './recipes.ts';
export { ohmsFromDrop, shiftByOhms, type Shift } from './shiftByOhms.ts';
