import { pistonTurn } from '../../alignment/piston-turn'
import { beyond, figure, mm, thumb } from '../judgement'
import type { Given, Judge } from '../judgement'

/** Places are named in small letters; a sentence begins with a large one. */
const capital = (sentence: string) => sentence.charAt(0).toUpperCase() + sentence.slice(1)
const degrees = (value: number) => `${value.toFixed(0)}°`
const signed = (value: number) => `${value > 0 ? '+' : ''}${value.toFixed(0)}°`

interface TurnedPiston {
  name: string
  turnDeg: number
  direction: 'clockwise' | 'counter-clockwise' | 'none'
}

/** Every piston with how far and which way it is turned back; pistons are told apart by the place of their point. */
function turns(given: Given, magnets: string): TurnedPiston[] {
  const [magnet, sensor] = [given.points(magnets), given.points('sensors')]
  return magnet.slice(0, sensor.length).map((magnetDeg, index) => ({
    name: given.place(magnets, index),
    ...pistonTurn({ magnetDeg, sensorDeg: sensor[index]! }),
  }))
}

const lines = (given: Given, magnets: string): string[] =>
  turns(given, magnets).map(
    ({ name, turnDeg }, index) =>
      `${name}: sensor ${degrees(given.points('sensors')[index]!)} − magnet ${degrees(given.points(magnets)[index]!)}, the short way ${signed(turnDeg)}`,
  )

/** How far and which way each piston that has turned is turned back, and which gears that explains. */
export const pistonsTurned: Judge = {
  inputs: { magnets: 'points', sensors: 'points', tolerance: 'number', edges: 'points', worn: 'number' },
  needs: ['magnets', 'sensors', 'tolerance'],
  judge(given) {
    const tolerance = given.number('tolerance')
    const out = turns(given, 'magnets').filter(({ turnDeg }) => beyond(Math.abs(turnDeg), tolerance))
    const edges = given.points('edges')
    const worn = given.maybe('worn')
    const wornAt = worn === undefined ? [] : edges.flatMap((edge, index) => (beyond(edge, worn) ? [index] : []))
    const wornSays =
      wornAt.length > 0
        ? ` The edge that keeps it from turning is worn ${mm(Math.max(...edges), 1)} at ${wornAt.map(index => given.place('edges', index)).join(', ')}: without a clip it turns again.`
        : ''
    return {
      level: out.length + wornAt.length > 0 ? 'watch' : 'good',
      sentence:
        (out.length > 0
          ? `${capital(out.map(({ name, turnDeg, direction }) => `${name}: turn it ${degrees(Math.abs(turnDeg))} ${direction}`).join('; '))}. That explains what was lost there, and nothing elsewhere.`
          : `Every piston is within ${degrees(tolerance)} of its sensor: none has turned. Look further, at sensor, valve and wiring, before a clip is fitted.`) +
        wornSays,
      working: [
        ...lines(given, 'magnets'),
        `allowed: ${degrees(tolerance)} either way${thumb(given, 'tolerance')}`,
        ...(edges.length > 0 ? [`edges: ${edges.map(edge => mm(edge, 1)).join(', ')}${thumb(given, 'worn')}`] : []),
      ],
      figures: turns(given, 'magnets').map(({ name, turnDeg }) => figure(`turn, ${name}`, turnDeg, '°', 0)),
    }
  },
}

/** Whether every piston faces its sensor once it is clipped. */
export const pistonsZero: Judge = {
  inputs: { after: 'points', sensors: 'points', tolerance: 'number' },
  needs: ['after', 'sensors', 'tolerance'],
  judge(given) {
    const tolerance = given.number('tolerance')
    const all = turns(given, 'after')
    const out = all.filter(({ turnDeg }) => beyond(Math.abs(turnDeg), tolerance))
    const most = Math.max(...all.map(({ turnDeg }) => Math.abs(turnDeg)))
    return {
      level: out.length > 0 ? 'renew' : 'good',
      sentence:
        out.length > 0
          ? `${capital(out.map(({ name, turnDeg, direction }) => `${name} is still off: ${degrees(Math.abs(turnDeg))} ${direction}`).join('; '))}. Its clip comes off again, and it is turned before the module goes up.`
          : `All ${all.length} face their sensors, ${degrees(most)} off at most: the clips hold them there.`,
      working: [...lines(given, 'after'), `allowed: ${degrees(tolerance)} either way${thumb(given, 'tolerance')}`],
      figures: [figure('most off', most, '°', 0)],
    }
  },
}
