import { spawnSync } from 'node:child_process'
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { expect, it } from 'vitest'

const test = (fullName: string, status: string, ...failureMessages: string[]) => ({ fullName, status, failureMessages })
const run = (...assertionResults: ReturnType<typeof test>[]) => ({
  numPassedTests: assertionResults.filter(({ status }) => status === 'passed').length,
  numPendingTests: 0,
  testResults: [{ name: join(process.cwd(), 'core/some.test.ts'), status: 'passed', message: '', assertionResults }],
})
const spec = (title: string, status: string, message?: string) => ({
  file: 'some.spec.ts',
  line: 3,
  title,
  tests: [{ status, results: [{ errors: message ? [{ message }] : [] }] }],
})
const browser = (...specs: ReturnType<typeof spec>[]) => {
  const count = (wanted: string) => specs.filter(({ tests }) => tests[0]!.status === wanted).length
  return {
    stats: { expected: count('expected'), flaky: count('flaky'), unexpected: count('unexpected'), skipped: 0 },
    suites: [{ specs }],
  }
}

function counted(results: Record<string, object>, known: { test: string }[] = [], fell = '') {
  const folder = mkdtempSync(join(tmpdir(), 'eldrin-results-'))
  try {
    for (const [name, content] of Object.entries({
      'vitest.json': run(test('adds', 'passed')),
      'vitest-server.json': run(test('answers', 'passed')),
      'playwright.json': browser(spec('opens', 'expected')),
      'known.json': known,
      ...results,
    }))
      writeFileSync(join(folder, name), JSON.stringify(content))
    const { stdout, status } = spawnSync('node', ['bin/count-results.mjs', folder, join(folder, 'known.json')], {
      encoding: 'utf8',
      env: { ...process.env, FELL: fell },
    })
    return { lines: stdout.trim().split('\n'), status }
  } finally {
    rmSync(folder, { recursive: true })
  }
}

it('adds up what passed', () => {
  expect(counted({})).toEqual({ lines: ['3 passed, 0 failed, 0 skipped'], status: 0 })
})
it('fails by one test that failed, and by a file that could not be read', () => {
  const { lines, status } = counted({ 'vitest.json': run(test('adds', 'failed', 'Error: one', 'Error: two')) })
  expect([lines[0], lines.at(-1), status]).toEqual([
    'failed: core/some.test.ts: adds',
    '2 passed, 1 failed, 0 skipped',
    1,
  ])
  const unread = run()
  unread.testResults[0]!.status = 'failed'
  expect(counted({ 'vitest-server.json': unread })).toMatchObject({ status: 1 })
  expect(counted({ 'playwright.json': browser(spec('opens', 'unexpected', 'not there')) }).status).toBe(1)
})
it('tells by name what passed at the second try, and fails where it is not for the first time', () => {
  const results = {
    'vitest.json': run(test('adds', 'passed', 'Error: first')),
    'playwright.json': browser(spec('opens', 'flaky', 'not yet')),
  }
  const { lines, status } = counted(results)
  expect(lines).toEqual(
    expect.arrayContaining(['flaky: core/some.test.ts: adds', 'flaky: some.spec.ts: opens, line 3']),
  )
  expect([lines.at(-1), status]).toEqual(['3 passed, 0 failed, 0 skipped', 0])
  const again = counted(results, [{ test: 'some.spec.ts: opens' }])
  expect([again.lines.at(-1), again.status]).toEqual(['2 passed, 1 failed, 0 skipped', 1])
})
it('fails by a lane that fell though every test of it passed', () => {
  expect(counted({}, [], 'lint vitest-server')).toEqual({
    lines: [
      'failed: lint',
      'see .data/lint.log',
      '',
      'failed: vitest-server',
      'see .data/vitest-server.log',
      '',
      '3 passed, 2 failed, 0 skipped',
    ],
    status: 1,
  })
})
