import { afterAll, beforeAll, describe, expect, it } from 'vitest'
import WebSocket from 'ws'
import { readTightening } from '../../core/fasteners'
import type { TighteningSample } from '../../core/fasteners'
import { startWrench } from '../../stand-ins/wrench/server'

let wrench: Awaited<ReturnType<typeof startWrench>>
beforeAll(async () => {
  wrench = await startWrench({ port: 0, seed: 3 })
})
afterAll(() => wrench.close())

type Line = Record<string, unknown> & { type: string }

/** A client of the wrench that keeps what it hears. */
async function connect(room: 'wrench' | 'hand') {
  const socket = new WebSocket(`ws://127.0.0.1:${wrench.port}/${room}`)
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
const samplesOf = (heard: Line[]) =>
  heard
    .filter(line => line.type === 'sample')
    .map(line => ({ angleDeg: line.angleDeg, torqueNm: line.torqueNm }) as TighteningSample)

describe('the simulated wrench', () => {
  it('says who it is, turns a sound bolt to its setting, and stops there', async () => {
    const [eldrin, hand] = [await connect('wrench'), await connect('hand')]
    await until(() => eldrin.heard.some(line => line.type === 'hello'))
    eldrin.tell({ type: 'set', targetNm: 30, figureNm: 30 })
    await until(() => hand.heard.some(line => line.type === 'state' && line.targetNm === 30))
    hand.tell({ type: 'pull', degrees: 3000 })
    await until(() => eldrin.heard.some(line => line.type === 'released'))
    const samples = samplesOf(eldrin.heard)
    expect(samples.at(-1)!.torqueNm).toBeGreaterThanOrEqual(30)
    expect(samples.slice(0, -1).every(sample => sample.torqueNm < 30)).toBe(true)
    expect(readTightening(samples, { targetNm: 30 }).verdict).toBe('good')
    hand.tell({ type: 'pull', degrees: 10 })
    hand.tell({ type: 'release' })
    await until(() => eldrin.heard.filter(line => line.type === 'released').length > 1)
    expect(samplesOf(eldrin.heard)).toHaveLength(samples.length)
    eldrin.close()
    hand.close()
  })
  it('takes each bolt up where it was left, and a fresh one from its first turn', async () => {
    const [eldrin, hand] = [await connect('wrench'), await connect('hand')]
    eldrin.tell({ type: 'set', targetNm: 8, figureNm: 40 })
    eldrin.tell({ type: 'next', bolt: 7, fresh: true })
    await until(() => eldrin.heard.some(line => line.type === 'bolt' && line.bolt === 7))
    hand.tell({ type: 'pull', degrees: 200 })
    await until(() => samplesOf(eldrin.heard).length === 200)
    eldrin.tell({ type: 'next', bolt: 8 })
    eldrin.tell({ type: 'next', bolt: 7 })
    await until(() => eldrin.heard.filter(line => line.type === 'bolt' && line.bolt === 7).length === 2)
    expect(eldrin.heard.filter(line => line.type === 'bolt').at(-1)!.angleDeg).toBe(200)
    eldrin.tell({ type: 'next', bolt: 7, fresh: true })
    await until(() => eldrin.heard.filter(line => line.type === 'bolt').at(-1)!.angleDeg === 0)
    eldrin.close()
    hand.close()
  })
  it('gives a fault that is chosen, and takes no load once it is told to stop', async () => {
    const [eldrin, hand] = [await connect('wrench'), await connect('hand')]
    eldrin.tell({ type: 'set', targetNm: 30, figureNm: 30 })
    hand.tell({ type: 'fault', fault: 'cross-threaded' })
    await until(() => eldrin.heard.some(line => line.type === 'bolt'))
    hand.tell({ type: 'pull', degrees: 220 })
    await until(() => samplesOf(eldrin.heard).length === 220)
    expect(readTightening(samplesOf(eldrin.heard), { targetNm: 30 }).verdict).toBe('drag')
    eldrin.tell({ type: 'stop', because: 'It runs heavy.' })
    await until(() => hand.heard.some(line => line.type === 'state' && line.stopped === 'It runs heavy.'))
    hand.tell({ type: 'pull', degrees: 50 })
    hand.tell({ type: 'fault', fault: 'none' })
    await until(() => hand.heard.at(-1)!.type === 'state' && hand.heard.at(-1)!.fault === 'none')
    expect(samplesOf(eldrin.heard)).toHaveLength(220)
    eldrin.close()
    hand.close()
  })
  it.each(['no json', '{"type":"dance"}', '{"type":"set","targetNm":-4}', '{"type":"next","bolt":-1}'])(
    'answers %s with an error and changes nothing',
    async line => {
      const eldrin = await connect('wrench')
      eldrin.tell(line)
      await until(() => eldrin.heard.some(entry => entry.type === 'error' && String(entry.reason).length > 10))
      eldrin.close()
    },
  )
  it('shows its page and nothing else', async () => {
    expect(await (await fetch(`http://127.0.0.1:${wrench.port}/`)).text()).toContain('Hold to pull')
    expect((await fetch(`http://127.0.0.1:${wrench.port}/etc/passwd`)).status).toBe(404)
  })
})
