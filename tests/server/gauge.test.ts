import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import WebSocket from 'ws'
import { checkDial, fitRunout } from '../../core/alignment'
import type { DialEntry } from '../../core/alignment'
import { Chance } from '../../stand-ins/chance'
import { startGauge } from '../../stand-ins/gauge/server'
import { SimulatedSurface } from '../../stand-ins/gauge/surface-model'
import type { Surface } from '../../stand-ins/gauge/surface-model'

let gauge: Awaited<ReturnType<typeof startGauge>>
beforeAll(async () => {
  gauge = await startGauge({ port: 0, seed: 5 })
})
afterAll(() => gauge.close())

type Line = Record<string, unknown> & { type: string }
async function connect(room: 'gauge' | 'hand') {
  const socket = new WebSocket(`ws://127.0.0.1:${gauge.port}/${room}`)
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
  return {
    heard,
    tell: (message: unknown) => socket.send(typeof message === 'string' ? message : JSON.stringify(message)),
    close: () => socket.close(),
  }
}
const until = (what: () => boolean) => expect.poll(what, { timeout: 60_000 }).toBe(true)
const readings = (heard: Line[]): DialEntry[] =>
  heard
    .filter(line => line.type === 'reading')
    .map(line => ({
      angleDeg: line.angleDeg as number,
      heightMm: line.heightMm as number,
      entered: String(line.heightMm),
    }))

describe('the simulated dial gauge', () => {
  it.each<[Surface, (entries: DialEntry[]) => void]>([
    ['true', entries => expect(fitRunout(checkDial(entries).usable).totalMm).toBeLessThan(0.06)],
    [
      'dirt-behind',
      entries => {
        const found = fitRunout(checkDial(entries).usable)
        expect(found.tiltMm * 2).toBeGreaterThan(2 * found.warpMm)
      },
    ],
    [
      'warped',
      entries => {
        const found = fitRunout(checkDial(entries).usable)
        expect(found.warpMm).toBeGreaterThan(2 * found.tiltMm)
        expect(found.warpMm).toBeGreaterThan(0.15)
      },
    ],
    ['slipping-stand', entries => expect(checkDial(entries).marks.map(mark => mark.fault)).toContain('not-returned')],
    ['knocked', entries => expect(checkDial(entries).marks.map(mark => mark.fault)).toContain('outlier')],
  ])('carried round a surface that is %s it gives readings that say so', async (surface, expectation) => {
    const [eldrin, hand] = [await connect('gauge'), await connect('hand')]
    await until(() => eldrin.heard.some(line => line.type === 'hello'))
    eldrin.tell({ type: 'circle', name: 'Runout of the face' })
    hand.tell({ type: 'surface', surface })
    hand.tell({ type: 'round', places: 12 })
    await until(() => readings(eldrin.heard).length === 13)
    expectation(readings(eldrin.heard))
    eldrin.close()
    hand.close()
  })
  it('is set to zero from either end, and answers what it does not know', async () => {
    const [eldrin, hand] = [await connect('gauge'), await connect('hand')]
    hand.tell({ type: 'surface', surface: 'dirt-behind' })
    hand.tell({ type: 'turn', degrees: 90 })
    eldrin.tell({ type: 'zero' })
    await until(() => eldrin.heard.some(line => line.type === 'zeroed'))
    hand.tell({ type: 'take' })
    await until(() => readings(eldrin.heard).length === 1)
    expect(Math.abs(readings(eldrin.heard)[0]!.heightMm!)).toBeLessThanOrEqual(0.02)
    eldrin.tell('no json')
    eldrin.tell({ type: 'dance' })
    await until(() => eldrin.heard.filter(line => line.type === 'error').length === 2)
    eldrin.close()
    hand.close()
  })
})

describe('faults among simulated readings', () => {
  it('no sound face has a reading struck out: a thousand surfaces', () => {
    let struck = 0
    for (let seed = 1; seed <= 250; seed++) {
      for (const kind of ['true', 'dirt-behind', 'warped', 'saddle'] as const) {
        const surface = new SimulatedSurface(kind, new Chance(seed))
        const entries = Array.from({ length: 13 }, (_, place) => ({
          angleDeg: place * 30,
          heightMm: surface.read(place * 30),
          entered: '',
        }))
        if (checkDial(entries).marks.some(mark => mark.fault === 'outlier' || mark.fault === 'wrong-unit')) struck++
      }
    }
    expect(struck).toBeLessThanOrEqual(2)
  })
})
