#!/usr/bin/env node
import { register } from 'tsx/esm/api'

// The shell is the same source that the pages are built from.
register()
await import('./ypsos.ts')
