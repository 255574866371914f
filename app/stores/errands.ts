import { FetchError } from 'ofetch'
import { defineStore } from 'pinia'
import { isOfTheServer } from '../device/fetch-kept'
import { nowIso } from '../device/clock'
import type { Keep } from '../device/keep'
import { onTaken, thisKeep } from '../device/open-keep'
import type { Errand } from '../log/errand'
import { issuesOf } from '../words/reason-of'

/** Somebody stands beside a car: a server that does not answer is not waited for longer. */
const PATIENCE_MS = 8_000
const AGAIN_MS = 30_000
/** Answers that say nothing of what was asked: it is asked again. */
const NOT_NOW = 503

/** What the server alone can do: asked for at once, or as soon as there is signal again. */
export const useErrandsStore = defineStore('errands', () => {
  const device = useDeviceStore()
  const messages = useMessages()
  const waiting = shallowRef<Errand[]>([])
  let running: Promise<void> | null = null
  let again: ReturnType<typeof setTimeout> | undefined

  const ofJob = (jobId: string) => waiting.value.filter(errand => errand.jobId === jobId)

  async function change(jobId: string, act: (keep: Keep) => Promise<void>) {
    await act(await thisKeep())
    device.tell(jobId)
    await read()
  }
  async function read() {
    waiting.value = await (await thisKeep()).errands()
    clearTimeout(again)
    if (waiting.value.some(({ refusal }) => !refusal)) again = setTimeout(() => void run(), AGAIN_MS)
  }

  /**
   * Asks for something.
   * @returns what the server answered; `null` where it did not, and it waits for signal
   * @throws what the server refuses
   */
  async function ask<T>(wanted: Omit<Errand, 'at' | 'refusal'>): Promise<T | null> {
    // What was done before it on this job goes first; the server may not even know the job yet.
    try {
      if (await device.sendNow(wanted.jobId)) return await post<T>(wanted)
    } catch (error) {
      if (isOfTheServer(error)) throw error
      // The server stands behind what it says of others, a supplier for one: that is its answer for now.
      if (error instanceof FetchError && error.statusCode === NOT_NOW && error.data) throw error
    }
    await change(wanted.jobId, keep => keep.keepErrand({ ...wanted, at: nowIso() }))
    messages.say(`“${wanted.what}” waits here, and is done as soon as there is signal.`)
    return null
  }

  async function post<T>({ path, body }: Pick<Errand, 'path' | 'body'>): Promise<T> {
    const answer = await $fetch<unknown>(path, { method: 'POST', body, timeout: PATIENCE_MS })
    // A page where data is wanted is of somebody in between.
    if (typeof answer !== 'object' || answer === null) throw new TypeError('That was no answer of the server.')
    return answer as T
  }

  /** Does what waits, in the order it was wanted; what belongs to a job comes after the acts that wait of it. */
  function run(): Promise<void> {
    return (running ??= runAll().finally(() => {
      running = null
    }))
  }
  async function runAll() {
    await read()
    if (!device.isSender()) return
    for (const errand of waiting.value) {
      if (errand.refusal || (await device.hold(errand.jobId)).waiting.length > 0) continue
      try {
        await post(errand)
        await change(errand.jobId, keep => keep.dropErrand(errand.id))
        messages.say(`Done: ${errand.what}`)
        await device.refresh(errand.jobId).catch(() => {})
      } catch (error) {
        if (!isOfTheServer(error)) break
        const refusal = issuesOf(error)[0]!.reason
        await change(errand.jobId, keep => keep.keepErrand({ ...errand, refusal }))
      }
    }
  }

  /** Asks again for what was refused. */
  async function askAgain({ refusal: _refusal, ...errand }: Errand) {
    await change(errand.jobId, keep => keep.keepErrand(errand))
    await run()
  }
  /** Wants it no more. */
  const letGo = ({ id, jobId }: Errand) => change(jobId, keep => keep.dropErrand(id))

  // What this page holds goes back to a store that was cleared away.
  onTaken(async () => {
    const keep = await thisKeep()
    for (const errand of waiting.value) await keep.keepErrand(errand)
  })
  device.onTold(() => void run())
  device.onSent(jobId => ofJob(jobId).length > 0 && void run())
  void read()
  return { waiting, ofJob, ask, run, askAgain, letGo }
})
