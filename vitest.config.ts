import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

const core = ['src/core/**/*.test.ts']

/** The core is pure, so its tests share one world and start fast; whatever stores or draws gets a world of its own. */
export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    testTimeout: 240_000,
    projects: [
      { extends: true, test: { name: 'core', isolate: false, include: core } },
      {
        extends: true,
        test: {
          name: 'around',
          include: ['src/**/*.test.{ts,tsx}', 'cli/**/*.test.ts', 'scripts/**/*.test.ts'],
          exclude: core,
        },
      },
    ],
  },
})
