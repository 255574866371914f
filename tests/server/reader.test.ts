import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import WebSocket from 'ws'
import { clutch } from '../../core'
import { Chance } from '../../stand-ins/chance'
import { SimulatedController } from '../../stand-ins/reader/controller-model'
import type { LiveValue } from '../../stand-ins/reader/protocol'
import { startReader } from '../../stand-ins/reader/server'

let reader: Awaited<ReturnType<typeof startReader>>
beforeAll(async () => {
  reader = await startReader({ port: 0, seed: 7, stepMs: 5 })
})
afterAll(() => reader.close())

type Line = Record<string, unknown> & { type: string }
async function connect(room: 'reader' | 'hand') {
  const socket = new WebSocket(`ws://127.0.0.1:${reader.port}/${room}`)
  const heard: Line[] = []
  socket.on('message', data =>
    heard.push(
      ...String(data)
        .split('\n')
        .filter(line => line.trim())
        .map(line => JSON.parse(line) as Line),
    ),
  )
  await new Promise<void>((resolve, reject) => socket.once('open', () => resolve()).once('error', reject))
  const next = async (type: string) => {
    await expect.poll(() => heard.some(line => line.type === type), { timeout: 60_000 }).toBe(true)
    const [found] = heard.splice(
      heard.findIndex(line => line.type === type),
      1,
    )
    return found!
  }
  return {
    next,
    tell: (message: unknown) => socket.send(typeof message === 'string' ? message : JSON.stringify(message)),
    close: () => socket.close(),
  }
}
/** Changes the car, and waits until it is so. */
async function makeIt(hand: Awaited<ReturnType<typeof connect>>, change: Record<string, unknown>) {
  hand.tell({ type: 'set', change })
  await expect.poll(async () => (await hand.next('state')).condition, { timeout: 60_000 }).toMatchObject(change)
}
const sound = { wornMm: 0.4, airMl: 0, voltageV: 12.6, temperatureC: 24, plugOff: false, untaught: false }

describe('the simulated reader', () => {
  it('tells what the controller holds, and clears what is only remembered', async () => {
    const [eldrin, hand] = [await connect('reader'), await connect('hand')]
    expect(await eldrin.next('hello')).toMatchObject({
      routines: expect.arrayContaining([{ id: 'teach-travel', name: 'Teach the travel' }]),
    })
    await makeIt(hand, { voltageV: 11.4 })
    await expect
      .poll(async () => {
        eldrin.tell({ type: 'read-codes' })
        return (await eldrin.next('codes')).codes
      })
      .toContainEqual({ code: 'A21', text: 'Supply too low', state: 'active' })
    eldrin.tell({ type: 'clear-codes' })
    expect((await eldrin.next('codes')).codes).toContainEqual(expect.objectContaining({ code: 'A21', state: 'active' }))
    await makeIt(hand, sound)
    await expect
      .poll(async () => {
        eldrin.tell({ type: 'read-codes' })
        return (await eldrin.next('codes')).codes
      })
      .toEqual([{ code: 'A21', text: 'Supply too low', state: 'stored' }])
    eldrin.tell({ type: 'clear-codes' })
    expect((await eldrin.next('codes')).codes).toEqual([])
    eldrin.close()
    hand.close()
  })
  it('refuses to be taught on a weak battery, says why, and is taught once it is charged', async () => {
    const [eldrin, hand] = [await connect('reader'), await connect('hand')]
    await makeIt(hand, { ...sound, voltageV: 11.4 })
    eldrin.tell({ type: 'run', routine: 'teach-travel' })
    expect(await eldrin.next('refused')).toEqual({
      type: 'refused',
      routine: 'teach-travel',
      reason: 'Supply too low: 11.4 V, 12 V at least',
    })
    await makeIt(hand, sound)
    eldrin.tell({ type: 'run', routine: 'teach-travel' })
    expect(await eldrin.next('begun')).toMatchObject({ routine: 'teach-travel' })
    expect(await eldrin.next('progress')).toMatchObject({ percent: 25 })
    expect(await eldrin.next('done')).toMatchObject({ routine: 'teach-travel' })
    eldrin.close()
    hand.close()
  })
  it('answers what it does not know, and changes nothing by it', async () => {
    const [eldrin, hand] = [await connect('reader'), await connect('hand')]
    eldrin.tell('sing')
    expect(await eldrin.next('error')).toMatchObject({ reason: 'A line is one JSON object.' })
    eldrin.tell({ type: 'run', routine: 'fly' })
    expect((await eldrin.next('error')).reason).toContain('Known are')
    for (const change of [{ wornMm: 40 }, { moon: 1 }, { plugOff: 'yes' }, null]) {
      hand.tell({ type: 'set', change })
      expect((await hand.next('error')).reason).toContain('Known is set')
    }
    eldrin.close()
    hand.close()
  })
})

describe('the car it reads', () => {
  const valueOf = (values: LiveValue[], id: string) => values.find(value => value.id === id)!.value
  it('shows wear in the travel of its slave, as much as the lining that is gone', () => {
    const controller = new SimulatedController(new Chance(3))
    for (const wornMm of [0, 0.5, 1.2]) {
      controller.set({ wornMm })
      const values = controller.values()
      const { liningLostMm } = clutch.wearFromTravel({
        travelMm: valueOf(values, 'travel-closed'),
        taughtNewMm: valueOf(values, 'taught-new'),
        fingerRatio: 4.2,
        forkRatio: 1.5,
        grows: true,
      })
      expect(Math.abs(liningLostMm - wornMm)).toBeLessThan(0.05)
    }
  })
  it('loses stroke to air until it is bled', () => {
    const controller = new SimulatedController(new Chance(3))
    controller.set({ airMl: 2 })
    expect(controller.refusal('teach-travel')).toBe('Stroke too short: air in the line')
    controller.finish('bleed')
    expect(controller.refusal('teach-travel')).toBeNull()
  })
  it('holds no pressure once it is let down, and builds it in seconds while its pump has supply', () => {
    const controller = new SimulatedController(new Chance(3))
    const bar = () => valueOf(controller.values(), 'pressure')
    controller.finish('let-down')
    controller.passTo(60)
    expect(bar()).toBeLessThan(1)
    controller.finish('short-test')
    controller.passTo(64)
    // 1 − 1/e of what is missing in four seconds.
    expect(bar()).toBeGreaterThan(46 * 0.6)
    expect(bar()).toBeLessThan(46 * 0.67)
    controller.set({ voltageV: 10 })
    controller.passTo(64 + 3600)
    expect(bar()).toBeLessThan(15)
  })
  it('is taught in order: travel, bite, gears', () => {
    const controller = new SimulatedController(new Chance(3))
    controller.set({ untaught: true })
    expect(controller.codes()).toContainEqual(expect.objectContaining({ code: 'A50', state: 'active' }))
    expect(controller.refusal('teach-gears')).toBe('Not before: Teach the point where it bites')
    expect(controller.refusal('teach-bite')).toBe('Not before: Teach the travel')
    for (const routine of ['teach-travel', 'teach-bite', 'teach-gears'] as const) {
      expect(controller.refusal(routine)).toBeNull()
      controller.finish(routine)
    }
    expect(controller.codes()).toEqual([{ code: 'A50', text: 'Clutch not taught', state: 'stored' }])
  })
  it('refuses for a plug, the cold, and a clutch worn beyond its window', () => {
    const controller = new SimulatedController(new Chance(3))
    controller.set({ plugOff: true })
    expect(controller.refusal('teach-travel')).toContain('sensor of the slave')
    controller.set({ plugOff: false, temperatureC: -10 })
    expect(controller.refusal('teach-travel')).toContain('-10 °C')
    controller.set({ temperatureC: 20, wornMm: 2.4 })
    expect(controller.refusal('teach-travel')).toContain('out of its window')
  })
})
