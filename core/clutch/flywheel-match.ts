import { within } from '../base/field-error'
import { quantity } from '../say/quantity'

/** What is measured of a flywheel, as it lies on the bench. */
export interface FlywheelMeasures {
  /** From the face on the crank to the friction face, in mm. */
  faceMm?: number
  /** From the face on the crank to the middle of the ring gear, in mm; positive toward the box. */
  ringMm?: number
  teeth?: number
  boltCircleMm?: number
  massKg?: number
}

/** What goes under the flywheel and through it. */
export interface FlywheelFixing {
  /** A spacer that the kit puts between crank and flywheel, in mm. */
  spacerMm?: number
  /** Thickness of the new flywheel under the bolt head, in mm. */
  clampedMm?: number
  /** Length of the new bolt under its head and its thread, in mm. */
  boltMm?: number
  threadMm?: number
  /** How deep the threads in the crank can be used, in mm. */
  holeMm?: number
  /** How far the release bearing can still go back from its place now, in mm. */
  bearingRoomMm?: number
}

export interface FlywheelMatch {
  verdict: 'fits' | 'look' | 'does-not-fit'
  /** How much further toward the box the friction face stands, and with it the fingers, in mm. */
  fingersMm: number | null
  /** The same for the ring gear, in mm. */
  ringMm: number | null
  /** Thread of the bolt that holds in the crank, in mm and in diameters. */
  engagedMm: number | null
  engagedDiameters: number | null
  /** What was looked at, with what it means; what is wrong first. */
  findings: { level: 'good' | 'watch' | 'renew'; sentence: string }[]
}

/** Fingers that stand so much elsewhere are taken up by the slave or its rod, in mm. Common practice, no source. */
const FINGERS_MM = 1
/** The starter's pinion forgives so much to the side, in mm. Common practice, no source. */
const MESH_MM = 1.5
const CIRCLE_MM = 0.2
/** Of a steel bolt in a steel crank at least so many diameters hold. Common practice, no source. */
const DIAMETERS = 1
/** A heavier or lighter flywheel is felt from this share on. Common practice, no source. */
const FELT = 0.15

/**
 * A flywheel against the one it replaces: where friction face and fingers come to stand, whether the bearing can go back so far, whether the
 * starter meets its ring, whether the bolts hold and do not bottom.
 * What was not measured is not looked at.
 * @throws FieldError on a measure that no flywheel has
 */
export function flywheelMatch(
  before: FlywheelMeasures,
  after: FlywheelMeasures,
  { spacerMm = 0, clampedMm, boltMm, threadMm, holeMm, bearingRoomMm }: FlywheelFixing = {},
): FlywheelMatch {
  for (const [name, each] of Object.entries({ before, after })) {
    if (each.faceMm !== undefined) within(`${name}.faceMm`, each.faceMm, 1, 200, 'The height in mm')
    if (each.teeth !== undefined) within(`${name}.teeth`, each.teeth, 20, 400, 'The number of teeth')
    if (each.ringMm !== undefined) within(`${name}.ringMm`, each.ringMm, -200, 300, 'The place of the ring in mm')
    if (each.boltCircleMm !== undefined)
      within(`${name}.boltCircleMm`, each.boltCircleMm, 10, 500, 'The bolt circle in mm')
    if (each.massKg !== undefined) within(`${name}.massKg`, each.massKg, 0.5, 200, 'The mass in kg')
  }
  for (const [name, value] of Object.entries({ clampedMm, boltMm, threadMm, holeMm, bearingRoomMm }))
    if (value !== undefined) within(name, value, 0, 300, 'A measure in mm')
  within('spacerMm', spacerMm, 0, 60, 'The spacer in mm')
  const moved = (one: number | undefined, other: number | undefined) =>
    one === undefined || other === undefined ? null : other + spacerMm - one
  const fingersMm = moved(before.faceMm, after.faceMm)
  const ringMm = moved(before.ringMm, after.ringMm)
  const engagedMm = boltMm === undefined || clampedMm === undefined ? null : boltMm - clampedMm - spacerMm
  const engagedDiameters = engagedMm === null || !threadMm ? null : engagedMm / threadMm
  const findings = [
    ...(fingersMm === null ? [] : [fingersFound(fingersMm, bearingRoomMm)]),
    ...teethFound(before.teeth, after.teeth),
    ...(ringMm === null ? [] : [ringFound(ringMm)]),
    ...circleFound(before.boltCircleMm, after.boltCircleMm),
    ...(engagedMm === null ? [] : threadFound(engagedMm, engagedDiameters, holeMm)),
    ...massFound(before.massKg, after.massKg),
  ].sort((a, b) => levels.indexOf(b.level) - levels.indexOf(a.level))
  const worst = findings[0]?.level ?? 'watch'
  return {
    verdict: worst === 'renew' ? 'does-not-fit' : worst === 'watch' ? 'look' : 'fits',
    fingersMm,
    ringMm,
    engagedMm,
    engagedDiameters,
    findings,
  }
}

type Found = FlywheelMatch['findings'][number]
const levels: Found['level'][] = ['good', 'watch', 'renew']
const mm = (value: number) => quantity(Math.abs(value), 'mm', 1)

function fingersFound(fingersMm: number, roomMm: number | undefined): Found {
  const where = fingersMm > 0 ? 'nearer to the box' : 'further from the box'
  if (Math.abs(fingersMm) <= FINGERS_MM)
    return { level: 'good', sentence: `The fingers stand where they stood, within ${mm(fingersMm)}.` }
  if (fingersMm > 0 && roomMm !== undefined && fingersMm > roomMm)
    return {
      level: 'renew',
      sentence: `The fingers come ${mm(fingersMm)} ${where}, and the bearing can go back ${mm(roomMm)}: it presses on them all the time, and the clutch slips.`,
    }
  const room = roomMm === undefined ? 'its room was not measured' : `it has ${mm(roomMm)}`
  const then =
    fingersMm > 0
      ? `See that the bearing can go back so far: ${room}.`
      : 'The bearing has to follow: see that fork or slave reaches so far.'
  return { level: 'watch', sentence: `The fingers come ${mm(fingersMm)} ${where}. ${then}` }
}

function teethFound(before: number | undefined, after: number | undefined): Found[] {
  if (before === undefined || after === undefined) return []
  return before === after
    ? [{ level: 'good', sentence: `Both rings have ${after} teeth.` }]
    : [
        {
          level: 'renew',
          sentence: `The new ring has ${after} teeth, the old one ${before}: the starter does not mesh with it.`,
        },
      ]
}

function ringFound(ringMm: number): Found {
  return Math.abs(ringMm) <= MESH_MM
    ? { level: 'good', sentence: `The ring stands where it stood, within ${mm(ringMm)}.` }
    : {
        level: 'renew',
        sentence: `The ring stands ${mm(ringMm)} ${ringMm > 0 ? 'nearer to the box' : 'nearer to the engine'}: the pinion meets it by half its teeth, or runs on it all the time.`,
      }
}

function circleFound(before: number | undefined, after: number | undefined): Found[] {
  if (before === undefined || after === undefined) return []
  const by = after - before
  return Math.abs(by) <= CIRCLE_MM
    ? [{ level: 'good', sentence: 'The bolt circles agree.' }]
    : [{ level: 'renew', sentence: `The bolt circles differ by ${mm(by)}: it belongs to another crank.` }]
}

function threadFound(engagedMm: number, diameters: number | null, holeMm: number | undefined): Found[] {
  const found: Found[] = []
  if (engagedMm <= 0) return [{ level: 'renew', sentence: 'The bolt does not reach its thread.' }]
  if (holeMm !== undefined && engagedMm > holeMm)
    found.push({
      level: 'renew',
      sentence: `The bolt reaches ${mm(engagedMm)} into a thread of ${mm(holeMm)}: it bottoms before it clamps.`,
    })
  if (diameters !== null)
    found.push(
      diameters >= DIAMETERS
        ? { level: 'good', sentence: `${mm(engagedMm)} of thread hold, ${diameters.toFixed(1)} diameters.` }
        : {
            level: 'renew',
            sentence: `Only ${mm(engagedMm)} of thread hold, ${diameters.toFixed(1)} diameters; one at least is wanted. A longer bolt, or the spacer stays out, by the kit sheet.`,
          },
    )
  return found
}

function massFound(before: number | undefined, after: number | undefined): Found[] {
  if (!before || after === undefined) return []
  const share = after / before - 1
  if (Math.abs(share) <= FELT) return [{ level: 'good', sentence: 'It weighs what the old one weighs.' }]
  return [
    {
      level: 'watch',
      sentence:
        share < 0
          ? `It is ${Math.round(-share * 100)} in 100 lighter: easier to stall, and more gear noise at idle. Tell the owner.`
          : `It is ${Math.round(share * 100)} in 100 heavier: slower to rev, and the starter turns more.`,
    },
  ]
}
