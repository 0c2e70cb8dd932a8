export { byItselfVolts, poweredByItself, type ByItself } from './byItself.ts';
export { answerRead, type IsolationAnswer } from './isolationAnswers.ts';
export { isolationTests, type IsolatedSensor, type IsolationTest } from './isolationTests.ts';
export { pinJudged, pinReading, pinTests, type PinTest } from './pinTests.ts';
export { SUBSTITUTE_VOLTS } from './recipes.ts';
export { ohmsFromDrop, shiftByOhms, type Shift } from './shiftByOhms.ts';
