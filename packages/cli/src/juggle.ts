import { wakeJobThread } from './job/thread.ts';

// The thread that does the work loads what it needs while the command does.
const working = ['render', 'strip', 'explain', 'check', 'compare', 'pack', 'new', 'demo'];
if (working.includes(process.argv[2])) wakeJobThread();
await import('./program.ts');
