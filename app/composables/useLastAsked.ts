import { onScopeDispose, ref } from 'vue'
import { proxy, wrap } from 'comlink'
import type { Remote } from 'comlink'
import { patience } from '../../core/base/patience'
import type { Later } from '../../core/base/patience'

/** What a worker is asked with holds no proxies of Vue's: they cannot be posted. */
export const posted = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** Wraps a function for a worker to call. */
type Heard = <A extends unknown[]>(listener: (...said: A) => void) => (...said: A) => void

/** A worker says its first word within so long, of this page's own time; what it is made of may have to come over a slow line. */
const BEGINS_WITHIN_MS = 10_000

const later: Later = (act, milliseconds) => {
  const timer = setTimeout(act, milliseconds)
  return () => clearTimeout(timer)
}

/**
 * Work in a worker of which only the last question counts: a new one ends the work on the one before, so does leaving the view.
 * @param start makes the worker; each question gets a fresh one, and so does one whose worker never says a word: each time it is given
 * twice as long to begin
 */
export function useLastAsked<T>(start: () => Worker, beginsWithinMs = BEGINS_WITHIN_MS) {
  const busy = ref(false)
  let worker: Worker | null = null
  /** Ends the waiting for a first word. */
  let begun = () => {}

  function end() {
    begun()
    worker?.terminate()
    worker = null
  }
  function cancel() {
    end()
    busy.value = false
  }

  /**
   * @param question calls the worker; a function given to it goes through `heard`. What it is called with comes on a line of its own and
   * may arrive behind the answer: then it is not heard any more. It is asked again where a worker did not begin.
   * @returns what it came to; the promise stays open when another question or leaving ended the work
   * @throws what the worker threw, or that it could not be started
   */
  function ask<R>(question: (remote: Remote<T>, heard: Heard) => Promise<R>): Promise<R> {
    cancel()
    busy.value = true
    return new Promise<R>((resolve, reject) => {
      const askOne = (withinMs: number) => {
        const mine = (worker = start())
        const settle = (say: () => void) => {
          if (mine !== worker) return
          cancel()
          say()
        }
        const again = () => {
          if (mine !== worker) return
          end()
          askOne(2 * withinMs)
        }
        begun = patience(withinMs, again, later)
        mine.addEventListener('message', () => mine === worker && begun(), { once: true })
        mine.addEventListener('error', event =>
          settle(() => reject(new Error(event.message || 'The worker could not be started.'))),
        )
        const heard: Heard = listener =>
          proxy((...said) => {
            if (mine === worker) listener(...said)
          })
        const asked = async () => question(wrap<T>(mine), heard)
        asked().then(
          answer => settle(() => resolve(answer)),
          (error: Error) => settle(() => reject(error)),
        )
      }
      askOne(beginsWithinMs)
    })
  }

  onScopeDispose(cancel)
  return { ask, cancel, busy }
}
