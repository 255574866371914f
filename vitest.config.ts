import { defineConfig } from 'vitest/config'

/** How long something may take is no question of these tests: a busy machine is several times slower than an idle one. */
const LONG_MS = 900_000

export default defineConfig({
  test: {
    // Both cores; with more, tests of the server hold each other up.
    maxWorkers: 2,
    projects: [
      {
        test: {
          name: 'unit',
          include: [
            'core/**/*.test.ts',
            'contracts/**/*.test.ts',
            'shell/**/*.test.ts',
            'bin/**/*.test.ts',
            'tests/drills/**/*.test.ts',
            'tests/sync/**/*.test.ts',
          ],
          testTimeout: LONG_MS,
          isolate: false,
        },
      },
      {
        test: {
          name: 'app',
          include: ['app/**/*.test.ts'],
          testTimeout: LONG_MS,
          setupFiles: ['tests/support/auto-imports.ts'],
        },
      },
      { test: { name: 'reference', include: ['tests/reference/**/*.test.ts'], testTimeout: LONG_MS, isolate: false } },
      {
        test: {
          name: 'server',
          env: { ELDRIN_PATIENCE_SECONDS: '40' },
          include: ['server/**/*.test.ts', 'tests/server/**/*.test.ts'],
          testTimeout: LONG_MS,
          hookTimeout: LONG_MS,
          isolate: false,
        },
      },
    ],
  },
})
