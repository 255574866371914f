import { fileURLToPath } from 'node:url'
import { Chance } from '../chance'
import { readLines } from '../json-lines'
import type { RunningStandIn } from '../listen'
import { spokenTool } from '../spoken-tool'
import type { FromGauge, ToGauge } from './protocol'
import { SimulatedSurface, surfaces } from './surface-model'
import type { Surface } from './surface-model'

const page = fileURLToPath(new URL('./page.html', import.meta.url))

/** What a hand at the gauge does. */
type FromHand =
  | { type: 'turn'; degrees: number }
  | { type: 'take' }
  | { type: 'zero' }
  | { type: 'round'; places: number }
  | { type: 'surface'; surface: Surface }

/**
 * The simulated dial gauge: `/gauge` speaks to Eldrin, `/hand` to the page that turns the crank, `/` is that page.
 * Only on loopback.
 */
export function startGauge({ port, seed }: { port: number; seed: number }): Promise<RunningStandIn> {
  const chance = new Chance(seed)
  let surface = new SimulatedSurface('true', chance)
  let angleDeg = 0
  let circle = ''
  let taken = 0

  const { eldrin, hand, tell, listen } = spokenTool(page, '/gauge')
  const say = (message: FromGauge) => tell(eldrin, message)
  const show = () =>
    tell(hand, {
      type: 'state',
      surface: surface.surface,
      angleDeg,
      heightMm: surface.read(angleDeg),
      circle,
      taken,
      listeners: eldrin.clients.size,
    })

  function turn(degrees: number) {
    angleDeg = (angleDeg + degrees + 3600) % 360
    surface.turnTo(angleDeg)
    show()
  }
  function take(at = angleDeg) {
    taken++
    // One reading in a round is knocked where the surface is that of a knocked gauge.
    say({
      type: 'reading',
      angleDeg: at,
      heightMm: surface.read(angleDeg, surface.surface === 'knocked' && taken === 4),
    })
    show()
  }
  function begin() {
    angleDeg = 0
    taken = 0
  }

  eldrin.on('connection', client => {
    client.send(
      `${JSON.stringify({ type: 'hello', gauge: 'Simulated dial gauge', resolutionMm: 0.01 } satisfies FromGauge)}\n`,
    )
    show()
    client.on('message', data =>
      readLines<ToGauge>(client, String(data), message => {
        if (message.type === 'circle' && typeof message.name === 'string') {
          circle = message.name.slice(0, 80)
          begin()
        } else if (message.type === 'zero') {
          surface.zero(angleDeg)
          say({ type: 'zeroed' })
        } else return 'Known are circle with a name, and zero.'
        show()
        return null
      }),
    )
    client.on('close', show)
  })
  hand.on('connection', client => {
    show()
    client.on('message', data =>
      readLines<FromHand>(client, String(data), message => {
        if (message.type === 'turn' && Math.abs(message.degrees) <= 720) turn(message.degrees)
        else if (message.type === 'take') take()
        else if (message.type === 'zero') {
          surface.zero(angleDeg)
          say({ type: 'zeroed' })
          show()
        } else if (message.type === 'round' && message.places >= 3 && message.places <= 36) {
          begin()
          for (let place = 0; place <= message.places; place++) {
            angleDeg = ((place * 360) / message.places) % 360
            surface.turnTo((place * 360) / message.places)
            take((place * 360) / message.places)
          }
        } else if (message.type === 'surface' && surfaces.includes(message.surface)) {
          surface = new SimulatedSurface(message.surface, chance)
          begin()
          show()
        } else return 'Known are turn with degrees, take, zero, round with places, and surface.'
        return null
      }),
    )
  })

  return listen(port)
}
