// What can be imported before the rest of the library is.
export { DrawingThreads } from './drawing-threads.ts';
