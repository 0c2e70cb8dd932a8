export { fail, ok, problemSaid, type Problem, type Result } from './problem.ts';
