import { register } from 'tsx/esm/api'

// A thread reads the same source as the shell that started it.
register()
await import('./assess-thread.ts')
