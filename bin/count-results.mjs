/** Adds up what the test runners wrote and prints the closing line. */
import { readFileSync } from 'node:fs'
import { join } from 'node:path'

const folder = process.argv[2]
const read = name => JSON.parse(readFileSync(join(folder, name), 'utf8'))
const vitest = read('vitest.json')
const { stats } = read('playwright.json')
const passed = vitest.numPassedTests + stats.expected + stats.flaky
const failed =
  vitest.numFailedTests + vitest.numFailedTestSuites * (vitest.numFailedTests === 0 ? 1 : 0) + stats.unexpected
const skipped = vitest.numPendingTests + stats.skipped
console.log(`${passed} passed, ${failed} failed, ${skipped} skipped`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
