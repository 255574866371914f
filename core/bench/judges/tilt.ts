import { tiltWindow } from '../../handling'
import type { TiltPoint } from '../../handling'
import { figure, mm } from '../judgement'
import type { Given, Judge, Judgement } from '../judgement'

/** How far one end goes down about its mounts: what has to come down, what may touch, and how both are told. */
interface Lowering {
  /** From the axis of the mounts to where it is let down, in mm. */
  leverMm: number
  points: TiltPoint[]
  /** What goes down, as `the tail`, and what turns about what. */
  end: string
  turns: string
  /** What has to come down, as `the bell comes down`. */
  wanted: string
  /** Less between enough and too far than this is tight, in mm. */
  tightMm: number
}

/** How far one end goes down, and what touches first. */
export function lowering({ leverMm, points, end, turns, wanted, tightMm }: Lowering): Judgement {
  const found = tiltWindow(leverMm, points)
  const closed = found.enoughMm === null || found.enoughMm >= found.tooFarMm
  const wantedMm = points.find(point => point.wantedMm !== undefined)!.wantedMm!
  return {
    level: closed ? 'renew' : found.tooFarMm - found.enoughMm! < tightMm ? 'watch' : 'good',
    sentence: found.because,
    working: [
      turns,
      ...(found.enoughMm === null
        ? []
        : [`${wanted} by ${mm(wantedMm, 0)} when ${end} is ${mm(found.enoughMm, 0)} lower`]),
      `${found.touches ?? 'nothing'} touches first, when ${end} is ${mm(found.tooFarMm, 0)} lower`,
    ],
    figures: [
      ...(found.enoughMm === null ? [] : [figure('enough', found.enoughMm, 'mm', 0)]),
      figure('too far', found.tooFarMm, 'mm', 0),
    ],
  }
}

/** A place that may touch, where its room was measured. `sign` is −1 for one on the side that goes up. */
export function tightPoint(
  given: Given,
  name: string,
  [room, along, above]: [room: string, along: string, above: string],
  sign: 1 | -1,
  way: 'x' | 'y',
): TiltPoint[] {
  const roomMm = given.maybe(room)
  if (roomMm === undefined) return []
  return [{ name, xMm: sign * (given.maybe(along) ?? 0), yMm: given.maybe(above) ?? 0, along: way, roomMm }]
}

/** How far the tail of an engine along the car goes down, turned about its mounts. */
export const engineTilt: Judge = {
  inputs: {
    tail: 'number',
    boltsBehind: 'number',
    boltsAbove: 'number',
    wanted: 'number',
    topBehind: 'number',
    topAbove: 'number',
    room: 'number',
    fanAhead: 'number',
    fanAbove: 'number',
    fanRoom: 'number',
    hoseBehind: 'number',
    hoseAbove: 'number',
    hoseRoom: 'number',
    intakeBehind: 'number',
    intakeAbove: 'number',
    intakeRoom: 'number',
  },
  needs: ['tail', 'boltsBehind', 'boltsAbove', 'wanted', 'topBehind', 'topAbove', 'room'],
  judge(given) {
    const leverMm = given.number('tail')
    const told = lowering({
      leverMm,
      end: 'the tail',
      turns: `the tail goes down ${mm(leverMm, 0)} behind the mounts; engine and box turn about them as one`,
      wanted: 'the upper bolts come down',
      tightMm: 15,
      points: [
        {
          name: 'the upper bolts',
          xMm: given.number('boltsBehind'),
          yMm: given.number('boltsAbove'),
          along: 'y',
          wantedMm: given.number('wanted'),
        },
        {
          name: 'the top of the engine',
          xMm: given.number('topBehind'),
          yMm: given.number('topAbove'),
          along: 'x',
          roomMm: given.number('room'),
        },
        ...tightPoint(given, 'the fan', ['fanRoom', 'fanAhead', 'fanAbove'], -1, 'y'),
        ...tightPoint(given, 'a hose', ['hoseRoom', 'hoseBehind', 'hoseAbove'], 1, 'x'),
        ...tightPoint(given, 'the intake', ['intakeRoom', 'intakeBehind', 'intakeAbove'], 1, 'x'),
      ],
    })
    const how = 'turned about the axis of the mounts: what is above it goes back, what is ahead of it goes up'
    return { ...told, working: [...told.working, how] }
  },
}

/** How far the box end of an engine across the car goes down for the bell to clear the rail, turned about the far mount. */
export const engineEnd: Judge = {
  inputs: {
    support: 'number',
    bellAlong: 'number',
    bellAbove: 'number',
    wanted: 'number',
    pipeAlong: 'number',
    pipeAbove: 'number',
    pipeRoom: 'number',
    hoseAlong: 'number',
    hoseAbove: 'number',
    hoseRoom: 'number',
    farAlong: 'number',
    farAbove: 'number',
    farRoom: 'number',
  },
  needs: ['support', 'bellAlong', 'bellAbove', 'wanted'],
  judge(given) {
    const leverMm = given.number('support')
    const told = lowering({
      leverMm,
      end: 'the support',
      turns: `the support carries ${mm(leverMm, 0)} from the far mount; engine and box turn about that as one`,
      wanted: 'the bell comes down',
      tightMm: 10,
      points: [
        {
          name: 'the bell',
          xMm: given.number('bellAlong'),
          yMm: given.number('bellAbove'),
          along: 'y',
          wantedMm: given.number('wanted'),
        },
        ...tightPoint(given, 'the downpipe', ['pipeRoom', 'pipeAlong', 'pipeAbove'], 1, 'y'),
        ...tightPoint(given, 'a hose', ['hoseRoom', 'hoseAlong', 'hoseAbove'], 1, 'x'),
        ...tightPoint(given, 'the far side', ['farRoom', 'farAlong', 'farAbove'], -1, 'x'),
      ],
    })
    const how = 'what hangs below the far mount swings toward the far inner wing, what stands above it away from there'
    return { ...told, working: [...told.working, how] }
  },
}
