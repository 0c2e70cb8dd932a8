export { fail, ok, type Problem, type Result } from './problem.ts';
