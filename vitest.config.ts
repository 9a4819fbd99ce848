import { fileURLToPath } from 'node:url'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    isolate: false,
    include: ['src/**/*.test.{ts,tsx}', 'cli/**/*.test.ts', 'scripts/**/*.test.ts'],
    environment: 'node',
    testTimeout: 240_000,
  },
})
