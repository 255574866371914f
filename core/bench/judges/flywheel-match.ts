import { flywheelMatch } from '../../clutch'
import type { FlywheelMeasures } from '../../clutch'
import { figure, mm } from '../judgement'
import type { Given, Judge } from '../judgement'

const measures = ['face', 'ring', 'teeth', 'circle', 'mass'] as const

/** A flywheel against the one it replaces. */
export const flywheelAgainstOld: Judge = {
  inputs: {
    ...Object.fromEntries(measures.flatMap(key => [`${key}Old`, `${key}New`].map(id => [id, 'number' as const]))),
    spacer: 'number',
    clamped: 'number',
    bolt: 'number',
    thread: 'number',
    hole: 'number',
    bearingRoom: 'number',
  },
  needs: [],
  judge(given) {
    const found = flywheelMatch(measuresOf(given, 'Old'), measuresOf(given, 'New'), fixingOf(given))
    if (found.findings.length === 0)
      return { level: 'watch', sentence: 'Nothing is measured of both flywheels yet.', working: [], figures: [] }
    const { fingersMm, ringMm, engagedMm } = found
    return {
      level: found.findings[0]!.level,
      sentence: found.findings.map(({ sentence }) => sentence).join(' '),
      working: [
        ...(fingersMm === null
          ? []
          : [
              `fingers: new face ${mm(given.number('faceNew'), 1)} + spacer ${mm(given.maybe('spacer') ?? 0, 1)} − old face ${mm(given.number('faceOld'), 1)} = ${mm(fingersMm, 1)} toward the box`,
            ]),
        ...(ringMm === null ? [] : [`ring: ${mm(ringMm, 1)} toward the box, by the same sum`]),
        ...(engagedMm === null
          ? []
          : [
              `thread that holds: bolt ${mm(given.number('bolt'), 1)} − clamped ${mm(given.number('clamped'), 1)} − spacer = ${mm(engagedMm, 1)}`,
            ]),
      ],
      figures: [
        ...(fingersMm === null ? [] : [figure('fingers toward the box', fingersMm, 'mm', 1)]),
        ...(ringMm === null ? [] : [figure('ring toward the box', ringMm, 'mm', 1)]),
        ...(engagedMm === null ? [] : [figure('thread that holds', engagedMm, 'mm', 1)]),
      ],
    }
  },
}

function measuresOf(given: Given, which: 'Old' | 'New'): FlywheelMeasures {
  return known({
    faceMm: given.maybe(`face${which}`),
    ringMm: given.maybe(`ring${which}`),
    teeth: given.maybe(`teeth${which}`),
    boltCircleMm: given.maybe(`circle${which}`),
    massKg: given.maybe(`mass${which}`),
  })
}

function fixingOf(given: Given) {
  return known({
    spacerMm: given.maybe('spacer'),
    clampedMm: given.maybe('clamped'),
    boltMm: given.maybe('bolt'),
    threadMm: given.maybe('thread'),
    holeMm: given.maybe('hole'),
    bearingRoomMm: given.maybe('bearingRoom'),
  })
}

/** What was measured. */
const known = (values: Record<string, number | undefined>): Record<string, number> =>
  Object.fromEntries(Object.entries(values).filter((entry): entry is [string, number] => entry[1] !== undefined))
