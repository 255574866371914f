import { symptomWords } from '../../contracts/words'
import { jobWords } from '../../core/job'
import type { Projection } from './projection'

/** The words that a job is found by. */
export const words: Projection<string | null> = {
  name: 'the words it is found by',
  of: ({ state }) => jobWords(state, id => symptomWords[id] ?? id),
  read: (store, jobId) => store.words.of(jobId),
  write: (store, jobId, text) => store.words.keep(jobId, text!),
}
