import { boltMaterial, isOut } from '../../core/fasteners'
import type {
  BoardBolt,
  BoltCondition,
  BoltStand,
  HeadKind,
  Pattern,
  RenewRule,
  HeadTreatment,
  ThreadCondition,
  ThreadTreatment,
  ThreadMaterial,
} from '../../core/fasteners'

export const conditionLabels: { id: BoltCondition; label: string }[] = [
  { id: 'good', label: 'Good' },
  { id: 'corroded', label: 'Corroded' },
  { id: 'stretched', label: 'Stretched' },
  { id: 'rounded', label: 'Rounded' },
  { id: 'sheared', label: 'Sheared' },
  { id: 'stripped', label: 'Thread stripped' },
]
export const headLabels: { id: HeadKind; label: string }[] = [
  { id: 'hex', label: 'Hexagon' },
  { id: 'e-hexalobular', label: 'Hexalobular outside, E' },
  { id: 't-hexalobular', label: 'Hexalobular inside, T' },
  { id: '12-point', label: '12-point' },
  { id: 'triple-square', label: 'Triple-square' },
  { id: 'hex-key', label: 'Hex key' },
]
export const materialLabels: { id: ThreadMaterial; label: string }[] = [
  { id: 'aluminium', label: '{Aluminum}' },
  { id: 'iron', label: 'Iron' },
  { id: 'steel', label: 'Steel' },
]
export const threadLabels: { id: ThreadCondition; label: string }[] = [
  { id: 'dry', label: 'Dry' },
  { id: 'oiled', label: 'Oiled' },
  { id: 'threadlocker', label: 'Threadlocker' },
  { id: 'head-lubricated', label: 'Lubricant under the head' },
  { id: 'thread-oiled', label: 'Thread oiled, head dry' },
  { id: 'threadlocker-head-lubricated', label: 'Threadlocker, and lubricant under the head' },
]
export const threadTreatmentLabels: { id: ThreadTreatment; label: string }[] = [
  { id: 'dry', label: 'Dry' },
  { id: 'oiled', label: 'Oiled' },
  { id: 'threadlocker', label: 'Threadlocker' },
]
export const headTreatmentLabels: { id: HeadTreatment; label: string }[] = [
  { id: 'dry', label: 'Dry' },
  { id: 'lubricated', label: 'Lubricated' },
]
export const renewLabels: { id: RenewRule; label: string }[] = [
  { id: 'always', label: 'Renew every time' },
  { id: 'once', label: 'Use once more' },
  { id: 'if-damaged', label: 'Renew if damaged' },
]

export const patternLabels: { id: Pattern; label: string }[] = [
  { id: 'across', label: 'Across, crosswise' },
  { id: 'round', label: 'Round in a circle' },
  { id: 'middle-out', label: 'From the middle outwards' },
]

const labelOf = <T extends string>(list: { id: T; label: string }[], id: T | undefined | null): string =>
  list.find(entry => entry.id === id)?.label ?? ''
export const conditionLabel = (id: BoltCondition | null): string => labelOf(conditionLabels, id)
export const threadLabel = (id: ThreadCondition | undefined): string => labelOf(threadLabels, id)
export const patternLabel = (id: Pattern | undefined): string => labelOf(patternLabels, id)
export const renewLabel = (id: RenewRule | undefined): string => labelOf(renewLabels, id)

export const standLabels: Record<BoltStand, string> = {
  untouched: 'in, not touched',
  out: 'out',
  started: 'in, started by hand',
  snug: 'in, snug and no more',
  figure: 'in, at its figure',
  feel: 'in, tight by feel',
}

/** How a bolt stands, and how it came out. */
export function boltState(bolt: BoardBolt): string {
  if (!isOut(bolt))
    return bolt.condition && bolt.condition !== 'good'
      ? `${standLabels[bolt.stand]}, was ${conditionLabel(bolt.condition).toLowerCase()}`
      : standLabels[bolt.stand]
  return bolt.condition === null ? 'out, not looked at' : `out, ${conditionLabel(bolt.condition).toLowerCase()}`
}

/** Size and tool of a bolt, as far as they are known. @param length writes a length in mm as the garage reads it */
export function boltSize(bolt: BoardBolt, length: (value: number, unit: string) => string): string {
  return [
    [bolt.thread, bolt.lengthMm === undefined ? '' : `× ${length(bolt.lengthMm, 'mm')}`].filter(Boolean).join(' '),
    bolt.drive ? `tool ${bolt.drive}` : '',
  ]
    .filter(Boolean)
    .join(', ')
}

/** A property class as it is read off a head; what is not of steel says so. */
export const classLabel = (name: string): string =>
  boltMaterial(name) === 'aluminium' ? `${name.toUpperCase()}, {aluminum}` : name
