export { JobSubject } from './JobSubject.tsx';
