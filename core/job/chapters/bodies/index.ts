import { byId } from '../../../base/by-id'
import { dict } from '../../../base/dict'
import type { Body } from '../../../pack/bodies'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'
import type { Refusal } from '../../log/chapter'
import { piecesOf } from './pieces-of'

export const plugStands = ['on', 'off', 'tugged'] as const
/** As it was or pushed on, off, or tugged at after it was pushed on. */
export type PlugStand = (typeof plugStands)[number]
export const pieceStands = ['in', 'out', 'confirmed'] as const
/** In its pocket, out of it, or in and looked at once more. */
export type PieceStand = (typeof pieceStands)[number]

/** What was measured of a spring, in mm and turns that give. */
export interface SpringMeasures {
  wireMm?: number
  coilDiameterMm?: number
  activeCoils?: number
  freeLengthMm?: number
  paint?: string
}

export const springOfs = ['old', 'returned'] as const
/** The spring that came out, or the one that came back with the body and goes in. */
export type SpringOf = (typeof springOfs)[number]

export interface BodyEvents {
  /** Pieces are out of their pockets, back in, or looked at once more. */
  'pieces-stand': { bodyId: string; pieceIds: string[]; stand: PieceStand }
  'plugs-stand': { bodyId: string; plugIds: string[]; stand: PlugStand }
  /** A spring of a pocket was measured, the one that came out or the one that goes in; an empty entry forgets it. */
  'spring-measured': { bodyId: string; pieceId: string; of: SpringOf; measures: SpringMeasures }
  /** Something lies there and nobody knows from where. */
  'piece-found': { bodyId: string; looseId: string; what: string; measures: SpringMeasures }
  /** What lay there goes into a pocket, or belongs to no body of this car. */
  'piece-placed': { bodyId: string; looseId: string; pieceId: string | null }
}

export interface LoosePiece {
  id: string
  what: string
  measures: SpringMeasures
  /** The piece it turned out to be, `null` where it is none of this body; left out while nobody knows. */
  placed?: string | null
  at: string
}

export interface BodyRecord {
  pieces: Record<string, PieceStand>
  plugs: Record<string, PlugStand>
  springs: Record<string, Partial<Record<SpringOf, SpringMeasures>>>
  loose: LoosePiece[]
}

/** How every piece and plug of the bodies that come down stands; what is not named is as it came. */
export interface BodyState {
  bodies: Record<string, BodyRecord>
}

export const noBodies = (): BodyState => ({ bodies: dict() })
const untouched = (): BodyRecord => ({ pieces: dict(), plugs: dict(), springs: dict(), loose: [] })
const recordOf = (state: JobState, bodyId: string): BodyRecord => (state.bodies[bodyId] ??= untouched())
const rule = { wants: 'work', undo: true, afterHandover: false, afterCallOff: false } as const

export const bodies: Chapter<BodyEvents> = {
  'pieces-stand': {
    ...rule,
    words: 'Pieces',
    admit: (state, { payload: { bodyId, pieceIds } }) =>
      known(state, bodyId, body => stranger('pieceIds', pieceIds, piecesOf(body)) ?? isOpen(state, body)),
    apply: (state, { payload: { bodyId, pieceIds, stand } }) => {
      const { pieces } = recordOf(state, bodyId)
      for (const id of pieceIds) pieces[id] = stand
    },
  },
  'plugs-stand': {
    ...rule,
    words: 'Plugs',
    admit: (state, { payload: { bodyId, plugIds } }) =>
      known(state, bodyId, body => stranger('plugIds', plugIds, body.plugs)),
    apply: (state, { payload: { bodyId, plugIds, stand } }) => {
      const { plugs } = recordOf(state, bodyId)
      for (const id of plugIds) plugs[id] = stand
    },
  },
  'spring-measured': {
    ...rule,
    words: 'Spring',
    admit: (state, { payload: { bodyId, pieceId, measures } }) =>
      known(state, bodyId, body => {
        const piece = byId(piecesOf(body), pieceId)
        if (piece?.kind !== 'spring') return refuse('payload.pieceId', `There is no spring "${pieceId}".`)
        return measured(measures)
      }),
    apply: (state, { payload: { bodyId, pieceId, of, measures } }) => {
      const { springs } = recordOf(state, bodyId)
      const { [of]: _before, ...other } = springs[pieceId] ?? {}
      springs[pieceId] = Object.keys(measures).length > 0 ? { ...other, [of]: measures } : other
    },
  },
  'piece-found': {
    ...rule,
    words: 'Loose piece',
    admit: (state, { payload: { bodyId, looseId, measures } }) =>
      known(state, bodyId, () =>
        byId(state.bodies[bodyId]?.loose ?? [], looseId)
          ? refuse('payload.looseId', 'It is written down already.')
          : measured(measures),
      ),
    apply: (state, { payload: { bodyId, looseId, what, measures }, deviceTime }) => {
      recordOf(state, bodyId).loose.push({ id: looseId, what, measures, at: deviceTime })
    },
  },
  'piece-placed': {
    ...rule,
    words: 'Loose piece',
    admit: (state, { payload: { bodyId, looseId, pieceId } }) =>
      known(state, bodyId, body => {
        if (!byId(state.bodies[bodyId]?.loose ?? [], looseId))
          return refuse('payload.looseId', 'Nothing of that name lies there.')
        return pieceId === null ? null : (stranger('pieceId', [pieceId], piecesOf(body)) ?? isOpen(state, body))
      }),
    apply: (state, { payload: { bodyId, looseId, pieceId } }) => {
      const record = recordOf(state, bodyId)
      record.loose = record.loose.map(entry => (entry.id === looseId ? { ...entry, placed: pieceId } : entry))
      if (pieceId !== null) record.pieces[pieceId] = 'in'
    },
  },
}

function known(state: JobState, bodyId: string, next: (body: Body) => Refusal | null): Refusal | null {
  const body = byId(state.procedure?.bodies ?? [], bodyId)
  return body ? next(body) : refuse('payload.bodyId', `This job has no body "${bodyId}" that comes down.`)
}

function stranger(field: string, ids: string[], list: { id: string }[]): Refusal | null {
  const index = ids.findIndex(id => !byId(list, id))
  return index < 0
    ? null
    : refuse(field === 'pieceId' ? 'payload.pieceId' : `payload.${field}[${index}]`, `It has no "${ids[index]}".`)
}

/** Nothing falls out of a body that has not been lowered, or that is up and bolted. */
function isOpen(state: JobState, { opens, closes }: Body): Refusal | null {
  const here = (step: string) => state.plan?.order.includes(step) ?? false
  if (here(closes) && state.done[closes])
    return refuse('payload.bodyId', 'It is up again: nothing can be reached in it.')
  return here(opens) && !state.done[opens] ? refuse('payload.bodyId', 'It has not been lowered yet.') : null
}

/** A spring of a car is smaller than this in every measure, in mm and turns. */
const LARGEST = 500

function measured({ paint: _paint, ...facts }: SpringMeasures): Refusal | null {
  const wrong = Object.entries(facts).find(([, value]) => !(value > 0 && value < LARGEST))
  return wrong
    ? refuse(`payload.measures.${wrong[0]}`, `A spring measures more than nothing and less than ${LARGEST}.`)
    : null
}
