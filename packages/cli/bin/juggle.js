#!/usr/bin/env node
// The command as npm links it: it is there before the build, so that a clone has it too.
import '../dist/juggle.js';
