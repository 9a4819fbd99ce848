#!/usr/bin/env node
import { compiled } from '../scripts/compiled.mjs'

// The shell is the same source that the pages are built from.
await import(await compiled('cli/ypsos.ts', 'cli/assess-thread.ts'))
