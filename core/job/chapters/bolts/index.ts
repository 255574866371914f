import { dict } from '../../../base/dict'
import { checkFacts, checkPlace, figureProblem, isOut } from '../../../fasteners'
import type { BoltBoard, BoltCondition, BoltDetails, FastenerFacts, Figure } from '../../../fasteners'
import type { Chapter } from '../../chapters'
import { refuse } from '../../log/chapter'
import { asRefusal } from '../as-refusal'
import { bringIn, changeBolt, takeOut } from './boards'
import { breakBolt } from './broken'
import type { BreakKind } from './broken'
import { unknownBolt, unknownGroup } from './unknown'

export interface BoltEvents {
  'figure-named': Figure
  /** What the fasteners of a group are and what they go into. */
  'fastener-described': { group: string; fastener: FastenerFacts }
  'board-outlined': { group: string; outline: string }
  /** Puts a bolt on the board, or moves it there. */
  'bolt-placed': { group: string; boltId: string; xMm: number; yMm: number }
  /** Takes a bolt off the board: the car has none there. */
  'bolt-lifted': { group: string; boltId: string }
  'bolt-described': { group: string; boltId: string; details: BoltDetails; condition: BoltCondition | null }
  'bolts-out': { group: string; boltIds: string[]; condition: BoltCondition | null }
  /** `stand` says how they stand; without it they are snug. */
  'bolts-in': { group: string; boltIds: string[]; stand?: 'started' | 'snug' | 'figure' | 'feel' }
  /** A bolt, a thread or a head that went, and the way out that is taken. */
  'bolt-broken': {
    group: string
    boltId: string
    how: BreakKind
    wayOut: string
    troubleId: string
    text: string
    parts: string[]
    waitsFor: string | null
    until: string | null
  }
}

/** A figure with who named it and when. */
export interface NamedFigure extends Figure {
  personId: string
  at: string
}

/** The bolts of the car, what they are, how they stand and what is known of their figures. */
export interface BoltState {
  /** Fastener group → figures named, the newest last. */
  figures: Record<string, NamedFigure[]>
  /** Fastener group → what its fasteners are. */
  fasteners: Record<string, FastenerFacts>
  /** Fastener group → its board. */
  boards: Record<string, BoltBoard>
}

export const noBolts = (): BoltState => ({ figures: dict(), fasteners: dict(), boards: dict() })

export const bolts: Chapter<BoltEvents> = {
  'figure-named': {
    words: 'Figure',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const unknown = unknownGroup(state, payload.group)
      if (unknown) return unknown
      if (payload.borrowed && payload.borrowed.group === payload.group)
        return refuse('payload.borrowed.group', 'That is this group’s own figure.')
      const problem = figureProblem(payload)
      return problem && refuse(`payload.${problem.path}`, problem.reason)
    },
    apply: (state, { payload, personId, deviceTime }) => {
      const { entered, ...figure } = payload
      state.figures[payload.group] = [
        ...(state.figures[payload.group] ?? []),
        { ...figure, personId: entered?.by ?? personId, at: entered?.at ?? deviceTime },
      ]
    },
  },
  'fastener-described': {
    words: 'What the bolts are',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownGroup(state, payload.group) ?? asRefusal(() => checkFacts(payload.fastener), 'fastener.'),
    apply: (state, { payload }) => {
      state.fasteners[payload.group] = payload.fastener
    },
  },
  'board-outlined': {
    words: 'Outline',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownGroup(state, payload.group) ??
      (state.procedure!.outlines.some(entry => entry.id === payload.outline)
        ? null
        : refuse('payload.outline', `There is no outline "${payload.outline}".`)),
    apply: (state, { payload }) => {
      const board = state.boards[payload.group]
      if (board) state.boards[payload.group] = { ...board, outline: payload.outline }
    },
  },
  'bolt-placed': {
    words: 'Place of a bolt',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { group, boltId, xMm, yMm } }) =>
      unknownGroup(state, group) ?? asRefusal(() => checkPlace(state.boards[group]!, boltId, xMm, yMm)),
    apply: (state, { payload: { group, boltId, xMm, yMm } }) => {
      const board = state.boards[group]
      if (!board) return
      if (board.bolts.some(bolt => bolt.id === boltId))
        changeBolt(state, group, boltId, bolt => ({ ...bolt, xMm, yMm }))
      else
        state.boards[group] = {
          ...board,
          bolts: [
            ...board.bolts,
            { id: boltId, xMm, yMm, offWith: null, stand: 'untouched', entry: null, condition: null, suspect: false },
          ],
        }
    },
  },
  'bolt-lifted': {
    words: 'Bolt off the board',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload: { group, boltId } }) => {
      const unknown = unknownBolt(state, group, [boltId])
      if (unknown) return unknown
      return isOut(state.boards[group]!.bolts.find(bolt => bolt.id === boltId)!)
        ? refuse('payload.boltId', 'This bolt is out. It leaves the board when it is back in.')
        : null
    },
    apply: (state, { payload: { group, boltId } }) => {
      const board = state.boards[group]
      if (board) state.boards[group] = { ...board, bolts: board.bolts.filter(bolt => bolt.id !== boltId) }
    },
  },
  'bolt-described': {
    words: 'Bolt’s entry',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (
      state,
      {
        payload: {
          group,
          boltId,
          details: { thread },
        },
      },
    ) =>
      unknownBolt(state, group, [boltId]) ??
      (thread === undefined ? null : asRefusal(() => checkFacts({ thread, propertyClass: '8.8' }), 'details.')),
    apply: (state, { payload: { group, boltId, details, condition } }) => {
      changeBolt(state, group, boltId, ({ id, xMm, yMm, offWith, stand, entry, suspect }) => ({
        ...details,
        id,
        xMm,
        yMm,
        offWith,
        stand,
        entry,
        suspect,
        condition,
      }))
    },
  },
  'bolts-out': {
    words: 'Bolts out',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => unknownBolt(state, payload.group, payload.boltIds),
    apply: (state, { payload }) => takeOut(state, payload.group, payload.boltIds, payload.condition),
  },
  'bolts-in': {
    words: 'Bolts in',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) => {
      const unknown = unknownBolt(state, payload.group, payload.boltIds)
      if (unknown) return unknown
      const broken = state.boards[payload.group]!.bolts.find(
        bolt => payload.boltIds.includes(bolt.id) && bolt.condition === 'sheared',
      )
      return broken
        ? refuse('payload.boltIds', 'A sheared bolt does not go back in. Note the new one’s condition first.')
        : null
    },
    apply: (state, { payload }) => bringIn(state, payload.group, payload.boltIds, payload.stand ?? 'snug'),
  },
  'bolt-broken': {
    words: 'Broken bolt',
    wants: 'work',
    undo: true,
    afterHandover: false,
    afterCallOff: false,
    admit: (state, { payload }) =>
      unknownBolt(state, payload.group, [payload.boltId]) ??
      (state.troubles.some(trouble => trouble.troubleId === payload.troubleId)
        ? refuse('payload.troubleId', 'This trouble is written down already.')
        : null),
    apply: (state, { payload, deviceTime }) => {
      const { group, boltId, how, troubleId, text, waitsFor, until } = payload
      breakBolt(state, group, boltId, how)
      state.troubles.push({ troubleId, stepId: null, group, text, waitsFor, until, at: deviceTime, cleared: null })
      state.addedParts.push(...payload.parts.map(name => ({ name, because: text, at: deviceTime })))
    },
  },
}
