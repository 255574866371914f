import { choicesFor, orderKept, switchAsked } from '../../core/job'
import type { PartDecided } from '../../core/job'
import type { Decided } from '../../core/job/chapters/renewals'
import type { Pack } from '../../core/packs'
import { expandPack, PackError } from '../../core/packs'
import type { SwitchOptions } from '../../contracts/jobs'
import { nowIso } from '../device/clock'
import { fetchKept } from '../device/fetch-kept'
import { deviceId, newId } from '../log/ids'
import { issuesOf } from '../words/reason-of'
import { utcOffsetMinutes } from '../words/utc-offset'
import { posted } from './useLastAsked'

/** Switches the job to another choice of one option: worked out and planned on here, and again by the server when it hears of it. */
export function useOptionSwitch() {
  const { store } = useJob()
  const garage = useGarageStore()
  const messages = useMessages()
  const t = useTerms()
  const worker = usePlannerWorker()
  const sending = ref(false)

  /**
   * @param order operations in the order the device found, if it has one
   * @returns whether it was done; if not, the reason was shown
   */
  const choose = (optionId: string, choiceId: string, order?: string[]) => chooseAll({ [optionId]: choiceId }, order)

  /**
   * Several options at once.
   * @param decided what is decided of parts in reach, where that is why
   */
  async function chooseAll(choices: Record<string, string>, order?: string[], decided?: Decided): Promise<boolean> {
    sending.value = true
    try {
      const refusal = await switchTo(choices, order, decided)
      if (refusal !== null) messages.say(t(refusal), 'refused')
      return refusal === null
    } catch (error) {
      messages.say(t(error instanceof PackError ? error.reason : issuesOf(error)[0]!.reason), 'refused')
      return false
    } finally {
      sending.value = false
    }
  }

  /**
   * Does what is decided of parts: what is renewed is work of the plan, what is left is not. One act, which one undo takes back.
   * @returns whether it was done; if not, the reason was shown
   */
  async function renew(decided: PartDecided[], because: string): Promise<boolean> {
    const payload: Decided = {
      decisions: decided.map(({ part, decision }) => ({ partId: part.id, decision })),
      because,
    }
    const choices = choicesFor(store.ahead.procedure!, decided)
    if (Object.keys(choices).length === 0) return store.write('renewal-decided', payload)
    return chooseAll(choices, undefined, payload)
  }

  async function switchTo(
    choices: Record<string, string>,
    order?: string[],
    decided?: Decided,
  ): Promise<string | null> {
    const { procedure: before, circumstances, done } = store.ahead
    const at = new Date().toISOString()
    const clock = { at: nowIso(), utcOffsetMinutes: utcOffsetMinutes() }
    const pack = await fetchKept<Pack>(`/api/packs/${before!.packId}`)
    const procedure = expandPack(pack, { ...before!.options, ...choices })
    const unordered = switchAsked(store.ahead, procedure, circumstances, clock)
    const kept = decided && Object.keys(done).length > 0 ? orderKept(store.ahead, procedure, unordered) : null
    const left = (order ?? kept ?? undefined)?.filter(id => !done[id])
    const asked = switchAsked(store.ahead, procedure, circumstances, clock, left)
    const plan = await worker.ask(remote => remote.planned(posted(procedure), posted(asked)))
    const body: SwitchOptions = {
      id: newId(),
      options: choices,
      ...(decided ? { decided } : {}),
      circumstances,
      ...(left ? { order: left } : {}),
      personId: garage.personId,
      deviceId: deviceId(),
      at,
      utcOffsetMinutes: utcOffsetMinutes(),
    }
    return store.attempt(
      'options-switched',
      { procedure, plan, circumstances, clock: asked.clock, ...(decided ? { decided } : {}) },
      { id: body.id, posts: [{ path: `/api/jobs/${store.jobId}/options`, body }] },
    )
  }
  return { choose, chooseAll, renew, sending }
}
