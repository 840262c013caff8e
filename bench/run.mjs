// Measures what the project promises. Run with: npm run bench
import './record.mjs';
import './calls.mjs';
import './start.mjs';
import './bundle.mjs';
import './memory.mjs';
import './sequence.mjs';
import './viewer.mjs';
import './raster.mjs';
import './exact.mjs';
