import type { PaperKind } from '../../core/formats'
import type { Projection } from './projection'

export interface PaperNumber {
  paperId: string
  kind: PaperKind
  number: number
}

/** Numbers of the papers that this garage issued; a job that came as a file may carry those of another, with numbers of its own. */
export const papers: Projection<PaperNumber[]> = {
  name: 'numbers of papers',
  of: ({ state }, garageId) =>
    state.issuedPapers
      .filter(paper => paper.garageId === garageId)
      .map(({ paperId, kind, number }) => ({ paperId, kind, number }))
      .sort((a, b) => (a.paperId < b.paperId ? -1 : 1)),
  read: (store, jobId) => store.papers.ofJob(jobId),
  write: (store, jobId, rows) => store.papers.keep(jobId, rows),
}
