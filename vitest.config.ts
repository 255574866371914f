import { defineConfig } from 'vitest/config'
import { onFixedClock } from './tests/support/on-fixed-clock'

onFixedClock()

/** How long something may take is no question of these tests: a busy machine is several times slower than an idle one. */
const LONG_MS = 900_000
/** What every project shares. In CI what fails is tried once more, and told by name where it passes then: bin/count-results.mjs. */
const shared = {
  testTimeout: LONG_MS,
  hookTimeout: LONG_MS,
  retry: process.env.CI ? 1 : 0,
  expect: { poll: { timeout: 60_000 } },
}
/** What is judged there is the process's own, so that no other file may have been in it. */
const JUDGES_ITS_PROCESS = ['tests/whole/poison.test.ts']
const drawnAlike = 'tests/support/drawn-alike.ts'

export default defineConfig({
  test: {
    // Both cores; with more, tests of the server hold each other up.
    maxWorkers: 2,
    projects: [
      {
        test: {
          // What wants neither a page nor a server: beside its file, held against something outside, or over every layout and log.
          name: 'core',
          include: [
            'core/**/*.test.ts',
            'contracts/**/*.test.ts',
            'shell/**/*.test.ts',
            'bin/**/*.test.ts',
            'tests/{drills,sync,reference,whole}/**/*.test.ts',
          ],
          exclude: JUDGES_ITS_PROCESS,
          ...shared,
          setupFiles: [drawnAlike],
          isolate: false,
        },
      },
      {
        test: {
          name: 'app',
          include: ['app/**/*.test.ts'],
          ...shared,
          // Nothing is drawn there: with a process for every file, the library for it would be loaded as often.
          setupFiles: ['tests/support/auto-imports.ts'],
        },
      },
      {
        test: {
          name: 'alone',
          include: JUDGES_ITS_PROCESS,
          ...shared,
          setupFiles: [drawnAlike],
        },
      },
      {
        test: {
          name: 'server',
          // What is planned there is no question of how well: the core's tests ask that.
          env: { ELDRIN_PATIENCE_SECONDS: '40', ELDRIN_PLAN_MOVES: '2000' },
          include: ['server/**/*.test.ts', 'tests/server/**/*.test.ts'],
          ...shared,
          setupFiles: [drawnAlike],
          isolate: false,
        },
      },
    ],
  },
})
