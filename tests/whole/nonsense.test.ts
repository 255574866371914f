import { describe, expect, it } from 'vitest'
import { FieldError } from '../../core/base/field-error'
import { judging } from '../support/nonsense/judging'
import { measuring } from '../support/nonsense/measuring'

/** Public functions with input that is good; each number of it is spoilt in turn, and each list emptied. */
const cases = [...judging, ...measuring]

/** Every path to a number, and to a list that is not empty. */
function paths(value: unknown, wanted: 'number' | 'list', at: (string | number)[] = []): (string | number)[][] {
  const here =
    (wanted === 'number' && typeof value === 'number') ||
    (wanted === 'list' && Array.isArray(value) && value.length > 0)
      ? [at]
      : []
  if (typeof value !== 'object' || value === null) return here
  return [
    ...here,
    ...Object.entries(value).flatMap(([key, entry]) =>
      paths(entry, wanted, [...at, Array.isArray(value) ? Number(key) : key]),
    ),
  ]
}

function withAt(value: unknown, [first, ...rest]: (string | number)[], put: unknown): unknown {
  if (first === undefined) return put
  const copy = Array.isArray(value) ? [...(value as unknown[])] : { ...(value as object) }
  ;(copy as Record<string | number, unknown>)[first] = withAt(
    (value as Record<string | number, unknown>)[first],
    rest,
    put,
  )
  return copy
}

describe.each(cases)('$name', ({ call, good }) => {
  it('takes what is good', () => {
    expect(() => call(good as never)).not.toThrow()
  })
  it.each(paths(good, 'number').map(path => [path.join('.'), path] as const))('refuses nonsense at %s', (_at, path) => {
    for (const nonsense of [Number.NaN, Infinity, -Infinity, 1e300]) {
      try {
        call(withAt(good, path, nonsense) as never)
        expect.unreachable(`${nonsense} is taken`)
      } catch (error) {
        expect(error, String(nonsense)).toBeInstanceOf(FieldError)
        expect((error as FieldError).path.length + (error as FieldError).reason.length).toBeGreaterThan(8)
      }
    }
  })
})

/** Where nothing is said by nothing: a garage without a job, a car that stays whole, no part on the shelf, nothing felt, nothing left to do. */
const MAY_BE_EMPTY = [
  'sequence.learnPace ',
  'handling.standLoads removed',
  'alignment.offsetDowels 1',
  'alignment.converterSeat dropsMm',
  'clutch.concentricGap shimsMm',
  'bench.springVerdict 2',
  'fasteners.drawDown 1',
  'fasteners.tighteningOrder ',
  'fasteners.readTightening 0',
  'sequence.finishTimes 0',
  'sequence.finishOdds ',
  'sequence.learnMinutes 1',
]

describe('nothing is made of nothing', () => {
  it.each(
    cases.flatMap(({ name, call, good, isSpread }) =>
      paths(good, 'list')
        .filter(path => !(isSpread && path.length === 0) && !MAY_BE_EMPTY.includes(`${name} ${path.join('.')}`))
        .map(path => [name, path.join('.'), call, good, path] as const),
    ),
  )('%s with nothing at %s', (_name, _at, call, good, path) => {
    expect(() => call(withAt(good, path, []) as never)).toThrow(FieldError)
  })
})
