import { describe, expect, it } from 'vitest'
import { link, operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../packs'
import { legalRange, moveStep, operationOrder, planJob } from '.'

const operations = ['a', 'b', 'c', 'd', 'e'].map(id => operation(id, { phase: 'bench' }))
const procedure = expandPack(
  smallPack({
    operations,
    links: [
      link('a', 'c', { mirror: false, because: 'a hides c.' }),
      link('c', 'e', { mirror: false, because: 'c holds e.' }),
      link('b', 'd', { mirror: false, atOnce: true, because: 'd at once.' }),
    ],
  }),
)
const plan = planJob(procedure, {}, { order: ['a', 'b', 'd', 'c', 'e'] })
const nothing = new Set<string>()

describe('legalRange', () => {
  it('lies between what must come before and what must come after, with their sentences', () => {
    expect(legalRange(procedure, plan, 'c', nothing)).toEqual({
      first: 1,
      last: 3,
      after: { stepId: 'a', because: 'a hides c.' },
      before: { stepId: 'e', because: 'c holds e.' },
    })
  })
  it('is one place for a step that follows another at once', () => {
    expect(legalRange(procedure, plan, 'd', nothing)).toMatchObject({
      first: 2,
      last: 2,
      after: { because: 'd at once.' },
    })
  })
  it('begins behind what is done', () => {
    expect(legalRange(procedure, plan, 'c', new Set(['a', 'b', 'd']))).toMatchObject({
      first: 3,
      after: { stepId: 'd', because: 'This is done already.' },
    })
  })
})

describe('moveStep', () => {
  it('moves within the range', () => {
    expect(moveStep(procedure, plan, 'c', 1, nothing)).toEqual({ order: ['a', 'c', 'b', 'd', 'e'] })
  })
  it('answers a forbidden move with its sentence', () => {
    expect(moveStep(procedure, plan, 'c', 0, nothing)).toEqual({ stepId: 'a', because: 'a hides c.' })
    expect(moveStep(procedure, plan, 'c', 4, nothing)).toEqual({ stepId: 'e', because: 'c holds e.' })
  })
  it('does not part two steps that belong together, and takes the follower along', () => {
    expect(moveStep(procedure, plan, 'c', 2, nothing)).toEqual({ stepId: 'd', because: 'd at once.' })
    expect(moveStep(procedure, plan, 'b', 4, nothing)).toEqual({ order: ['a', 'c', 'e', 'b', 'd'] })
  })
  it('takes along what follows the follower', () => {
    const chained = expandPack(
      smallPack({
        operations,
        links: [
          link('b', 'd', { mirror: false, atOnce: true, because: 'd at once.' }),
          link('d', 'e', { mirror: false, atOnce: true, because: 'e at once.' }),
        ],
      }),
    )
    const three = planJob(chained, {}, { order: ['a', 'b', 'd', 'e', 'c'] })
    expect(moveStep(chained, three, 'b', 0, nothing)).toEqual({ order: ['b', 'd', 'e', 'a', 'c'] })
  })
  it('gives orders that can be planned', () => {
    for (const id of operationOrder(plan)) {
      for (let place = 0; place < 5; place++) {
        const moved = moveStep(procedure, plan, id, place, nothing)
        if ('order' in moved) expect(planJob(procedure, {}, { order: moved.order }).order).toEqual(moved.order)
      }
    }
  })
})
