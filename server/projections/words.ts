import { jobWords } from '../../core/job'
import type { Projection } from './projection'

/** The words that a job is found by, and its number. */
export const words: Projection<{ words: string; number: number } | null> = {
  name: 'the words it is found by',
  of: ({ state }) => ({ words: jobWords(state), number: state.number }),
  read: (store, jobId) => store.words.of(jobId),
  write: (store, jobId, row) => store.words.keep(jobId, row!),
}
