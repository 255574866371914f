import type { SwitchOptions } from '../../contracts/jobs'
import { deviceId, newId } from '../lib/ids'
import { issuesOf } from '../lib/reason-of'
import { utcOffsetMinutes } from '../lib/utc-offset'

/** Switches the job to another choice of one option; the server plans the other work on from the steps done. */
export function useOptionSwitch() {
  const { store, state } = useJob()
  const garage = useGarageStore()
  const messages = useMessages()
  const t = useTerms()
  const sending = ref(false)

  /**
   * @param order operations in the order the device found, if it has one
   * @returns whether it was done; if not, the reason was shown
   */
  const choose = (optionId: string, choiceId: string, order?: string[]) => chooseAll({ [optionId]: choiceId }, order)

  /** Several options at once. */
  async function chooseAll(choices: Record<string, string>, order?: string[]): Promise<boolean> {
    sending.value = true
    const { procedure, circumstances, done } = state.value
    const request: SwitchOptions = {
      id: newId(), options: { ...procedure!.options, ...choices }, circumstances,
      ...(order ? { order: order.filter(id => !done[id]) } : {}),
      personId: garage.personId, deviceId: deviceId(), at: new Date().toISOString(), utcOffsetMinutes: utcOffsetMinutes(),
    }
    try {
      await $fetch(`/api/jobs/${store.jobId}/options`, { method: 'POST', body: request })
      await store.refresh()
      return true
    }
    catch (error) {
      messages.say(t(issuesOf(error)[0]!.reason), 'refused')
      return false
    }
    finally {
      sending.value = false
    }
  }
  return { choose, chooseAll, sending }
}
