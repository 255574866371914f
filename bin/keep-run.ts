/** Adds a line to the table of runs in docs/testing.md: folder of results, when it began in s since 1970, load at its beginning, and what was asked of it. */
import { execFileSync } from 'node:child_process'
import { readFileSync, writeFileSync } from 'node:fs'
import { cpus, loadavg } from 'node:os'
import { join } from 'node:path'
import { between, markdownTable, replaceBetween, rowsOf } from './markdown-table'

const PAGE = 'docs/testing.md'
const HEAD = [
  'begun',
  'commit',
  'as if',
  'tests',
  'cores',
  'load before, after',
  'minutes',
  'passed',
  'failed',
  'flaky',
]

const [folder, begunAt, load, at, zone, only] = process.argv.slice(2) as [
  string,
  string,
  string,
  string,
  string,
  string,
]
const count = JSON.parse(readFileSync(join(folder, 'count.json'), 'utf8')) as Record<
  'passed' | 'failed' | 'flaky',
  number
>
const git = (...given: string[]) => execFileSync('git', given, { encoding: 'utf8' }).trim()
const changed = git('status', '--porcelain') === '' ? '' : ' and changes'
const page = readFileSync(PAGE, 'utf8')
const row = [
  new Date(Number(begunAt) * 1000).toISOString().slice(0, 16).replace('T', ' '),
  `${git('rev-parse', '--short', 'HEAD')}${changed}`,
  [at, zone].filter(Boolean).join(', ') || 'now, here',
  only || 'all',
  cpus().length,
  `${load}, ${loadavg()[0]!.toFixed(2)}`,
  ((Date.now() / 1000 - Number(begunAt)) / 60).toFixed(1),
  count.passed,
  count.failed,
  count.flaky,
]
writeFileSync(PAGE, replaceBetween(page, 'runs', markdownTable(HEAD, [...rowsOf(between(page, 'runs')), row])))
