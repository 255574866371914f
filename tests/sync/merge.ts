import fc from 'fast-check'
import { reduceJob } from '../../core/job'
import type { JobEvent } from '../../core/job'
import { deeds, ModelDevice, ModelServer, ways } from './world'

/** What went on in all runs together. */
export interface Tally {
  acts: number
  aside: number
  events: number
  /** Other ways of doing the job that the server planned. */
  ways: number
}

/** One thing that happens in the world. */
const happening = fc.record({
  device: fc.nat(3),
  what: fc.oneof(
    {
      weight: 6,
      arbitrary: fc.record({ deed: fc.constantFrom(...deeds.filter(deed => deed !== 'call off')), pick: fc.nat(50) }),
    },
    { weight: 1, arbitrary: fc.record({ deed: fc.constant('call off' as const), pick: fc.constant(0) }) },
    { weight: 4, arbitrary: fc.record({ way: fc.constantFrom(...ways) }) },
    { weight: 3, arbitrary: fc.record({ from: fc.nat(40), length: fc.nat(40) }) },
    { weight: 2, arbitrary: fc.constant({ restart: true as const }) },
    { weight: 1, arbitrary: fc.record({ setBack: fc.integer({ min: 1, max: 12 }) }) },
  ),
})

/**
 * Random acts on up to four devices and the server, with any interleaving of offline, crash, restart, lost answers, doubled and
 * reordered deliveries, and the server's records set back to an earlier moment. At the end everybody has signal: all are in one state, every act is in the log or set aside, none twice.
 * @param opened the log of a job that was just opened
 */
export async function proveMerging(opened: JobEvent[], runs: number, seed?: number): Promise<Tally> {
  const tally: Tally = { acts: 0, aside: 0, events: 0, ways: 0 }
  await fc.assert(
    fc.asyncProperty(
      fc.integer({ min: 1, max: 4 }),
      fc.array(fc.integer({ min: -6, max: 6 }), { minLength: 4, maxLength: 4 }),
      fc.array(happening, { minLength: 10, maxLength: 60, size: 'max' }),
      async (count, clocks, happenings) => {
        const server = new ModelServer([...opened])
        const devices = Array.from(
          { length: count },
          (_, index) => new ModelDevice(`d${index}`, server, clocks[index]!),
        )
        for (const device of devices) await device.hear(0, opened.length)
        for (const { device: index, what } of happenings) {
          const device = devices[index % count]!
          if ('deed' in what) await device.act(what.deed, what.pick)
          else if ('way' in what) await device.send(what.way)
          else if ('setBack' in what) server.setBack(what.setBack)
          else if ('from' in what) await device.hear(what.from, what.from + what.length)
          else await device.start()
        }
        // Who had a number before what came before it was heard of finds out one round later that it is gone, and gives it back in the next.
        for (let round = 0; round < 4; round++)
          for (const device of devices) {
            await device.giveBack()
            await device.send('there and back')
          }
        for (const device of devices) await device.hear(0, server.log.length)
        check(server, devices)
        tally.acts += devices.reduce((sum, device) => sum + device.done.length, 0)
        tally.aside += reduceJob(server.log).aside.length
        tally.events += server.log.length
        tally.ways += server.log.filter(event => event.type === 'options-switched').length
      },
    ),
    { numRuns: runs, ...(seed === undefined ? {} : { seed }) },
  )
  return tally
}

function check(server: ModelServer, devices: ModelDevice[]): void {
  const state = reduceJob(server.log)
  const wanted = JSON.stringify(state)
  for (const device of devices) {
    if (device.waits > 0) throw new Error(`${device.name} still has ${device.waits} acts waiting`)
    if (JSON.stringify(device.state) !== wanted) throw new Error(`${device.name} is in another state than the server`)
  }
  const where = new Map<string, number>()
  const count = (id: string) => where.set(id, (where.get(id) ?? 0) + 1)
  for (const event of server.log) count(event.id)
  for (const { act } of state.aside) count(act.id)
  for (const id of devices.flatMap(device => device.done))
    if (where.get(id) !== 1) throw new Error(`act ${id} stands ${where.get(id) ?? 0} times in the log and aside`)
  const steps = server.log.filter(event => event.type === 'step-done')
  if (new Set(steps.map(event => event.id)).size !== steps.length) throw new Error('an act is in the log twice')
}
