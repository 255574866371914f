import type { PaperDoc } from './paper-doc'
import type { Chapter, JobState } from '../../chapters'
import { refuse } from '../../log/chapter'

/** Papers that count once they are out of the house: numbered, dated and never changed. */
export const issuedKinds = ['estimate', 'hand-over', 'invoice'] as const
export type IssuedKind = (typeof issuedKinds)[number]

export interface IssuedPaperEvents {
  /** A paper as it left the house, whole: whatever changes later, this is what it said. A correction is a new one that names the old. */
  'paper-issued': {
    paperId: string
    kind: IssuedKind
    /** Runs through the garage, kind by kind. */
    number: number
    /** Day in the garage's time zone, ISO 8601. */
    issuedOn: string
    /** Whose numbers these are. */
    garageId: string
    /** The paper that this one stands in place of. */
    corrects: string | null
    letterhead: { name: string; town: string; address: string }
    size: 'a4' | 'letter'
    paper: PaperDoc
  }
}

export type IssuedPaper = IssuedPaperEvents['paper-issued'] & { at: string; personId: string }

/** The paper of a kind that counts now: the newest. */
export function paperInForce(state: Pick<JobState, 'issuedPapers'>, kind: IssuedKind): IssuedPaper | null {
  return state.issuedPapers.findLast(paper => paper.kind === kind) ?? null
}

export const issuedPapers: Chapter<IssuedPaperEvents> = {
  'paper-issued': {
    words: 'Paper',
    wants: 'work',
    undo: false,
    afterHandover: true,
    afterCallOff: true,
    admit: (state, { payload: { paperId, kind, corrects } }) => {
      if (state.issuedPapers.some(paper => paper.paperId === paperId))
        return refuse('payload.paperId', 'This paper is issued already.')
      if (kind === 'hand-over' && !state.handedOver) return refuse('payload.kind', 'The car is not handed over yet.')
      const before = paperInForce(state, kind)
      if ((before?.paperId ?? null) === corrects) return null
      return refuse(
        'payload.corrects',
        before
          ? `Number ${before.number} is out already; a new one stands in its place and names it.`
          : 'There is nothing to correct: none was issued.',
      )
    },
    apply: (state, { payload, deviceTime, personId }) => {
      state.issuedPapers.push({ ...payload, at: deviceTime, personId })
    },
  },
}
