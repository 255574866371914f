import { expose } from 'comlink'
import { effectScope } from 'vue'
import type { EffectScope } from 'vue'
import { afterEach, beforeEach, expect, it } from 'vitest'
import { posted, useLastAsked } from './useLastAsked'

const counter = {
  double: (value: number) => value * 2,
  fail(): number {
    throw new RangeError('It cannot be doubled.')
  },
  /** Says something on the way, and once more when it has answered already. */
  tell(said: (text: string) => void): string {
    said('on the way')
    setTimeout(() => said('too late'), 50)
    return 'answer'
  },
  long: (value: number) => new Promise<number>(resolve => setTimeout(() => resolve(value), 1200)),
  slow: (value: number) => new Promise<number>(resolve => setTimeout(() => resolve(value), 200)),
}

/** A worker that runs in this thread, over a channel of its own. */
class NearWorker {
  static ended = 0
  private readonly channel = new MessageChannel()
  constructor(begins = true) {
    if (begins) {
      expose(counter, this.channel.port2)
      this.channel.port2.postMessage('begun')
    }
    this.channel.port1.start()
  }

  get port(): Worker {
    return Object.assign(this.channel.port1, {
      terminate: () => {
        NearWorker.ended++
        this.channel.port1.close()
      },
    }) as unknown as Worker
  }
}

let scope: EffectScope
beforeEach(() => {
  NearWorker.ended = 0
  scope = effectScope()
})
afterEach(() => scope.stop())
const asked = () => scope.run(() => useLastAsked<typeof counter>(() => new NearWorker().port))!

it('gives the answer, and is busy until then', async () => {
  const { ask, busy } = asked()
  const answer = ask(worker => worker.double(21))
  expect(busy.value).toBe(true)
  expect(await answer).toBe(42)
  expect(busy.value).toBe(false)
})
it('throws what the worker threw', async () => {
  const { ask, busy } = asked()
  await expect(ask(worker => worker.fail())).rejects.toThrow('It cannot be doubled.')
  expect(busy.value).toBe(false)
})
it('ends the work on a question when another comes: only the last is answered', async () => {
  const { ask } = asked()
  const answers: number[] = []
  void ask(worker => worker.slow(1)).then(answer => answers.push(answer))
  answers.push(await ask(worker => worker.slow(2)))
  // Asked after both and as slow: the first would have been heard by then.
  answers.push(await ask(worker => worker.slow(3)))
  expect(answers).toEqual([2, 3])
})
it('hears what is said on the way, and not what comes behind the answer', async () => {
  const { ask } = asked()
  const said: string[] = []
  const late: ((text: string) => void)[] = []
  const answer = await ask((worker, heard) => {
    const listener = heard((text: string) => said.push(text))
    late.push(listener)
    return worker.tell(listener)
  })
  expect(answer).toBe('answer')
  // On its own line, however late it comes.
  late[0]!('too late')
  expect(said).not.toContain('too late')
})
it('asks another where one never says a word, and gives it longer; the answer is the other’s', async () => {
  let started = 0
  const { ask, busy } = scope.run(() => useLastAsked<typeof counter>(() => new NearWorker(++started > 2).port, 250))!
  expect(await ask(worker => worker.double(21))).toBe(42)
  expect([started, NearWorker.ended, busy.value]).toEqual([3, 3, false])
})
it('lets one that has begun take its time', async () => {
  let started = 0
  const { ask } = scope.run(() => useLastAsked<typeof counter>(() => (started++, new NearWorker().port), 250))!
  expect(await ask(worker => worker.long(7))).toBe(7)
  expect(started).toBe(1)
})
it('throws what kills it, and what cannot be asked', async () => {
  const { ask, busy } = scope.run(() =>
    useLastAsked<typeof counter>(() => {
      const { port } = new NearWorker(false)
      setTimeout(() => port.dispatchEvent(new Event('error')), 10)
      return port
    }),
  )!
  await expect(ask(worker => worker.double(1))).rejects.toThrow('The worker could not be started.')
  await expect(
    ask(() => {
      throw new RangeError('It cannot be posted.')
    }),
  ).rejects.toThrow('It cannot be posted.')
  expect(busy.value).toBe(false)
})
it('ends its work when the view is left', () => {
  const { ask, busy } = asked()
  void ask(worker => worker.slow(1))
  scope.stop()
  expect(NearWorker.ended).toBe(1)
  expect(busy.value).toBe(false)
})
it('posts no proxies', () => {
  expect(posted({ a: [1, { b: 'c' }] })).toEqual({ a: [1, { b: 'c' }] })
})
