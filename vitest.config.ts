import path from 'node:path'
import { defineConfig } from 'vitest/config'
import { SlowFirst } from './scripts/slow-first'

export default defineConfig({
  resolve: { alias: { '@': path.join(import.meta.dirname, 'src') } },
  test: {
    include: ['src/**/*.test.ts'],
    setupFiles: ['scripts/seeds.ts'],
    // Room for a machine three times as slow that does other things as well.
    testTimeout: 300_000,
    pool: 'threads',
    maxWorkers: 2,
    // Each file has a module of its own for what it needs; loading all modules anew for each took as long as a third of the tests.
    isolate: false,
    sequence: { sequencer: SlowFirst },
  },
})
