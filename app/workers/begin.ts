import { expose } from 'comlink'

/** Lets a worker be asked, and says its first word: whoever started it knows that it lives. */
export function begin(api: object): void {
  expose(api)
  postMessage('begun')
}
