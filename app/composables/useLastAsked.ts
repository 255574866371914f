import { onScopeDispose, ref } from 'vue'
import { proxy, wrap } from 'comlink'
import type { Remote } from 'comlink'

/** What a worker is asked with holds no proxies of Vue's: they cannot be posted. */
export const posted = <T>(value: T): T => JSON.parse(JSON.stringify(value)) as T

/** Wraps a function for a worker to call. */
type Heard = <A extends unknown[]>(listener: (...said: A) => void) => (...said: A) => void

/**
 * Work in a worker of which only the last question counts: a new one ends the work on the one before, so does leaving the view.
 * @param start makes the worker; each question gets a fresh one
 */
export function useLastAsked<T>(start: () => Worker) {
  const busy = ref(false)
  let worker: Worker | null = null

  function cancel() {
    worker?.terminate()
    worker = null
    busy.value = false
  }

  /**
   * @param question calls the worker; a function given to it goes through `heard`. What it is called with comes on a line of its own and
   * may arrive behind the answer: then it is not heard any more.
   * @returns what it came to; the promise stays open when another question or leaving ended the work
   * @throws what the worker threw, or that it could not be started
   */
  async function ask<R>(question: (remote: Remote<T>, heard: Heard) => Promise<R>): Promise<R> {
    cancel()
    const mine = (worker = start())
    busy.value = true
    const broken = new Promise<never>((_resolve, reject) => {
      mine.addEventListener('error', event => reject(new Error(event.message || 'The worker could not be started.')))
    })
    const heard: Heard = listener =>
      proxy((...said) => {
        if (mine === worker) listener(...said)
      })
    try {
      return await Promise.race([question(wrap<T>(mine), heard), broken])
    } finally {
      if (mine === worker) cancel()
    }
  }

  onScopeDispose(cancel)
  return { ask, cancel, busy }
}
