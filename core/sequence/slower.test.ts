import { describe, expect, it } from 'vitest'
import { operation, smallPack } from '../../tests/support/small-pack'
import { expandPack } from '../packs'
import { stepsToRun } from './finish-times'
import { defaultSetting } from './plan-in-order'
import { planJob } from './plan-job'
import { minutesByTheBook, minutesUnder } from './slower'

const pack = smallPack({
  items: [],
  operations: [
    operation('lift', { minutes: [4, 6, 10], tools: ['jack'] }),
    operation('look', { minutes: [1, 2, 3], tools: ['lamp'] }),
  ],
})
pack.tools = [
  { id: 'jack', name: 'Jack', without: { minutes: 12, because: 'Two people and a plank.' } },
  { id: 'lamp', name: 'Lamp', needed: 'Nobody sees in the dark.' },
]
const procedure = expandPack(pack)

describe('a tool that is done without', () => {
  it('makes each step that uses it longer, in the plan and in the odds', () => {
    const plain = planJob(procedure)
    const slower = planJob(procedure, { without: ['jack', 'lamp'] })
    expect(slower.totals.workMinutes - plain.totals.workMinutes).toBeCloseTo(12, 9)
    const estimates = (without: string[] | undefined) =>
      Object.fromEntries(
        stepsToRun(
          procedure,
          { ...defaultSetting, ...(without ? { without } : {}) },
          plain.steps,
          new Map(),
          new Map(),
        ).map((step, index) => [plain.steps[index]!.id, step.estimate]),
      )
    expect(estimates(['jack'])).toMatchObject({ lift: [16, 18, 22], look: [1, 2, 3] })
    expect(estimates(undefined)).toMatchObject({ lift: [4, 6, 10] })
  })
})

describe('minutes worked', () => {
  const circumstances = { without: ['jack'], skill: 'first-time' as const }
  it('are told as the layout counts them, whatever made them longer', () => {
    const lift = procedure.operations.find(({ id }) => id === 'lift')!
    const [, likely] = minutesUnder(procedure, lift, circumstances)
    expect(likely).toBeCloseTo(6 * 1.3 + 12, 9)
    expect(minutesByTheBook(procedure, lift, circumstances, likely)).toBeCloseTo(6, 9)
    expect(minutesByTheBook(procedure, lift, circumstances, 5)).toBe(0)
  })
  it('stay as they were told of this car', () => {
    const told = { tools: ['jack'], minutes: [4, 6, 10] as [number, number, number], asTold: true as const }
    expect(minutesUnder(procedure, told, circumstances)).toEqual([4, 6, 10])
    expect(minutesByTheBook(procedure, told, circumstances, 7)).toBe(7)
  })
})
