/** Adds up what the test runners wrote, tells again what failed, and prints the closing line. */
import { readFileSync } from 'node:fs'
import { join, relative } from 'node:path'

const folder = process.argv[2]
const read = name => JSON.parse(readFileSync(join(folder, name), 'utf8'))
const runs = [read('vitest.json'), read('vitest-server.json')]
const playwright = read('playwright.json')
const { stats } = playwright

const head = text => text.split('\n').slice(0, 40).join('\n')
/** The specs of a suite and of those within it. */
const specsOf = suite => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)]

// The runs are long and side by side: without this, what failed stands thousands of lines before the end.
for (const spec of playwright.suites.flatMap(specsOf)) {
  for (const test of spec.tests.filter(({ status }) => status !== 'expected' && status !== 'skipped')) {
    console.log(`\n${test.status}: ${spec.file}:${spec.line} ${spec.title}`)
    const error = test.results.flatMap(({ errors }) => errors)[0]
    if (error) console.log(head(error.message ?? error.value ?? ''), error.location ?? '')
  }
}
for (const file of runs.flatMap(({ testResults }) => testResults)) {
  const failures = file.assertionResults.filter(({ status }) => status === 'failed')
  if (file.status === 'failed' && failures.length === 0) console.log(`\nfailed: ${file.name}\n${head(file.message)}`)
  for (const { fullName, failureMessages } of failures) {
    console.log(`\nfailed: ${relative(process.cwd(), file.name)} ${fullName}\n${head(failureMessages.join('\n'))}`)
  }
}

const sum = pick => runs.reduce((total, run) => total + pick(run), 0)
const passed = sum(run => run.numPassedTests) + stats.expected + stats.flaky
// A file that could not even be read has no test that failed.
const failed =
  sum(run => run.numFailedTests + run.numFailedTestSuites * (run.numFailedTests === 0 ? 1 : 0)) + stats.unexpected
const skipped = sum(run => run.numPendingTests) + stats.skipped
console.log(`\n${passed} passed, ${failed} failed, ${skipped} skipped`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
