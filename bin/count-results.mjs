/**
 * Adds up what the test runners wrote into a folder, leaves the sum there as count.json, tells again what failed and what passed at the second try alone, and prints the
 * closing line. What stands in tests/flaky.json has passed like that before: the second time it is a failure.
 */
import { readFileSync, writeFileSync } from 'node:fs'
import { join, relative } from 'node:path'

const [folder, knownFile = 'tests/flaky.json'] = process.argv.slice(2)
const read = name => JSON.parse(readFileSync(join(folder, name), 'utf8'))
const runs = [read('vitest.json'), read('vitest-server.json')]
const playwright = read('playwright.json')
const known = new Set(JSON.parse(readFileSync(knownFile, 'utf8')).map(({ test }) => test))
const { stats } = playwright

const head = text => text.split('\n').slice(0, 40).join('\n')
/** The specs of a suite and of those within it. */
const specsOf = suite => [...(suite.specs ?? []), ...(suite.suites ?? []).flatMap(specsOf)]

/** Every test that did not just pass: by name, how it ended, and its first error. */
const odd = []
for (const spec of playwright.suites.flatMap(specsOf))
  for (const test of spec.tests.filter(({ status }) => status !== 'expected' && status !== 'skipped')) {
    const error = test.results.flatMap(({ errors }) => errors)[0]
    odd.push({
      test: `${spec.file}: ${spec.title}`,
      line: spec.line,
      status: test.status === 'flaky' ? 'flaky' : 'failed',
      error: error?.message ?? error?.value ?? '',
    })
  }
for (const file of runs.flatMap(({ testResults }) => testResults)) {
  const path = relative(process.cwd(), file.name)
  const failures = file.assertionResults.filter(({ failureMessages }) => failureMessages.length > 0)
  // A file that could not even be read has no test that failed.
  if (file.status === 'failed' && failures.every(({ status }) => status !== 'failed'))
    odd.push({ test: path, status: 'failed', error: file.message })
  for (const { fullName, status, failureMessages } of failures)
    odd.push({
      test: `${path}: ${fullName}`,
      status: status === 'failed' ? 'failed' : 'flaky',
      error: failureMessages.join('\n'),
    })
}

// A lane may fall by itself: the linter, the compiler, or an error that belongs to no test and is tried no second time.
const fellByItself = { vitest: runs[0], 'vitest-server': runs[1] }
for (const lane of (process.env.FELL ?? '').split(' ').filter(Boolean))
  if (!fellByItself[lane]?.numFailedTests) odd.push({ test: lane, status: 'failed', error: `see .data/${lane}.log` })

// The runs are long and side by side: without this, what failed stands thousands of lines before the end.
for (const { test, line, status, error } of odd)
  console.log(`\n${status}: ${test}${line ? `, line ${line}` : ''}\n${head(error)}`)
const flaky = odd.filter(({ status }) => status === 'flaky')
const again = flaky.filter(({ test }) => known.has(test))
if (flaky.length > 0)
  console.log(`\nflaky, ${flaky.length}: mend each at its cause, and write it into ${knownFile} meanwhile`)
for (const { test } of again) console.log(`failed: not for the first time: ${test}`)

const sum = pick => runs.reduce((total, run) => total + pick(run), 0)
const passed = sum(run => run.numPassedTests) + stats.expected + stats.flaky - again.length
const failed = odd.filter(({ status }) => status === 'failed').length + again.length
const skipped = sum(run => run.numPendingTests) + stats.skipped
writeFileSync(join(folder, 'count.json'), JSON.stringify({ passed, failed, skipped, flaky: flaky.length }))
console.log(`\n${passed} passed, ${failed} failed, ${skipped} skipped`)
process.exit(failed === 0 && passed > 0 ? 0 : 1)
