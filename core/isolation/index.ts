export {
  isolationTests,
  SUBSTITUTE_VOLTS,
  type IsolatedSensor,
  type IsolationAnswer,
  type IsolationTest,
} from './isolationTests.ts';
