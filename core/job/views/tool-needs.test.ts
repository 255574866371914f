import { describe, expect, it } from 'vitest'
import { TestLog } from '../../../tests/support/job-log'
import { operation, smallPack } from '../../../tests/support/small-pack'
import { toolNeed, toolsInCase } from './tool-needs'

const rung = (id: string, tools: string[], minutes: number) => ({
  id,
  title: `Try ${id}`,
  text: '',
  tools,
  parts: [],
  minutes,
})
const pack = {
  ...smallPack({
    operations: [
      operation('pull', { tools: ['jack'] }),
      operation('wait', { minutes: [2000, 2000, 2000] }),
      operation('push', { tools: ['jack'] }),
      operation('look', { tools: ['lamp'] }),
    ],
  }),
  tools: [
    { id: 'jack', name: 'Jack', without: { minutes: 9, because: 'A plank and two people.', risk: 'It tips.' } },
    { id: 'lamp', name: 'Lamp', needed: 'Nobody sees in the dark.' },
    { id: 'heat', name: 'Hot-air gun' },
    { id: 'drill', name: 'Drill' },
  ],
  ladders: [
    {
      id: 'stuck',
      title: 'It is stuck',
      when: [],
      steps: [],
      everywhere: true,
      cautions: [],
      rungs: [rung('warm', ['heat'], 10), rung('bore', ['drill'], 15), rung('saw', [], 40)],
    },
  ],
}
const open = () => TestLog.open(pack)

describe('what a tool is wanted for', () => {
  it('is the steps that are left, over how many days, and the minutes without it', () => {
    const need = toolNeed(open().state, 'jack', [])
    expect([...need.steps].sort()).toEqual(['pull', 'push'])
    expect(need).toMatchObject({ withoutMinutes: 18, because: 'A plank and two people.', risk: 'It tips.', rungs: [] })
    expect(need.days).toBeGreaterThanOrEqual(1)
    expect(toolNeed(open().done('pull').state, 'jack', [])).toMatchObject({
      steps: ['push'],
      withoutMinutes: 9,
      days: 1,
    })
  })
  it('is never done without where the work says so, nor where nobody told a way', () => {
    expect(toolNeed(open().state, 'lamp', [])).toMatchObject({
      withoutMinutes: null,
      because: 'Nobody sees in the dark.',
    })
    expect(toolNeed(open().state, 'heat', [])).toMatchObject({ withoutMinutes: null, steps: [] })
  })
  it('is a rung that falls away, with the next one that can be tried', () => {
    expect(toolNeed(open().state, 'heat', []).rungs).toEqual([
      { ladder: 'It is stuck', rung: 'Try warm', minutes: 10, next: { title: 'Try bore', minutes: 15 } },
    ])
    expect(toolNeed(open().state, 'heat', ['drill']).rungs[0]!.next).toEqual({ title: 'Try saw', minutes: 40 })
    expect(toolsInCase(open().state)).toEqual(['heat', 'drill'])
  })
})
