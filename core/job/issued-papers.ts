import type { PaperDoc } from '../formats/papers'
import type { JobEvent } from './events'
import { refuse } from './refusal'
import type { Judges } from './refusal'
import type { JobState } from './state'

/** Papers that count once they are out of the house: numbered, dated and never changed. */
export const issuedKinds = ['estimate', 'hand-over', 'invoice'] as const
export type IssuedKind = typeof issuedKinds[number]

export interface IssuedPaperPayloads {
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
    letterhead: { name: string, town: string, address: string }
    size: 'a4' | 'letter'
    paper: PaperDoc
  }
}

export type IssuedPaper = IssuedPaperPayloads['paper-issued'] & { at: string, personId: string }

export const issuedPaperAppliers = {
  'paper-issued': (state: JobState, { payload, deviceTime, personId }: JobEvent<'paper-issued'>) => {
    state.issuedPapers.push({ ...payload, at: deviceTime, personId })
  },
}

/** The paper of a kind that counts now: the newest. */
export const paperInForce = (state: Pick<JobState, 'issuedPapers'>, kind: IssuedKind): IssuedPaper | null => state.issuedPapers.findLast(paper => paper.kind === kind) ?? null

export const issuedPaperJudges: Pick<Judges, keyof IssuedPaperPayloads> = {
  'paper-issued': (state, { payload: { paperId, kind, corrects } }) => {
    if (state.issuedPapers.some(paper => paper.paperId === paperId)) return refuse('payload.paperId', 'This paper is issued already.')
    if (kind === 'hand-over' && !state.handedOver) return refuse('payload.kind', 'The car is not handed over yet.')
    const before = paperInForce(state, kind)
    if ((before?.paperId ?? null) === corrects) return null
    return refuse('payload.corrects', before ? `Number ${before.number} is out already; a new one stands in its place and names it.` : 'There is nothing to correct: none was issued.')
  },
}
