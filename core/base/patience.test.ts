import { expect, it } from 'vitest'
import { patience } from './patience'
import type { Later } from './patience'

/** Timers that run when they are told to. */
function byHand() {
  const due: { act: () => void; ms: number }[] = []
  const later: Later = (act, ms) => {
    const entry = { act, ms }
    due.push(entry)
    return () => void due.splice(due.indexOf(entry), 1)
  }
  return { later, due, turn: () => due.shift()?.act() }
}

it('is over when its turns have passed, and not before', () => {
  const { later, due, turn } = byHand()
  let over = 0
  patience(1000, () => over++, later)
  const passed = []
  for (let turns = 0; due.length > 0; turns++) {
    expect(over).toBe(0)
    passed.push(due[0]!.ms)
    turn()
  }
  expect(over).toBe(1)
  expect(passed.reduce((sum, ms) => sum + ms)).toBe(1000)
})
it('counts a turn of its loop once, however late it comes: what was heard in between ends it', () => {
  const { later, due, turn } = byHand()
  let over = 0
  const stop = patience(500, () => over++, later)
  turn()
  stop()
  expect([over, due]).toEqual([0, []])
})
