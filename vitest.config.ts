import { availableParallelism } from 'node:os'
import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

/** What keeps or holds something between two questions: each file begins with nothing kept. */
const keeping = [
  'src/storage/**/*.test.ts',
  'src/ui/app/open-file.test.ts',
  'src/ui/state/**/*.test.ts',
  'src/app/**/*.test.ts',
]
const deep = process.env['YPSOS_DEEP'] === '1'
/** The gate's cases are the same every time; the deep run draws new ones, and prints its seed. */
const seed = Number(process.env['YPSOS_SEED'] ?? 20261126)

/** What is pure shares one world, and starts fast; whatever keeps something gets a world of its own. */
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    maxWorkers: availableParallelism(),
    // Only what hangs is ended: a busy machine is no fault.
    testTimeout: 1_800_000,
    provide: { deep, seed },
    setupFiles: ['scripts/property-seed.testing.ts'],
    projects: [
      {
        extends: true,
        test: {
          name: 'pure',
          isolate: false,
          include: [
            'src/**/*.test.{ts,tsx}',
            'cli/**/*.test.ts',
            'scripts/**/*.test.ts',
            'reading/**/*.test.ts',
          ],
          exclude: keeping,
        },
      },
      { extends: true, test: { name: 'keeping', pool: 'threads', include: keeping } },
    ],
  },
})
