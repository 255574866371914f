import type { SharesAnswer } from '../../contracts/answers'
import { fetchKept, keepAnswer, keptAnswer } from '../device/fetch-kept'
import { newToken } from '../log/ids'
import { issuesOf } from '../words/reason-of'

/** What a new link is made of, as the server takes it. */
export type LinkWanted = { token: string; days: number }

/**
 * The page of a job that its customer sees without an account: which links are out, and the one made on this device, which nobody else can show again.
 * @param path - where the server lists, makes and ends them
 * @param ask - has one made, now or once there is signal; `null` where it waits
 * @param isWanted - whether one waits for signal
 * @param end - ends all that are out
 */
export function useCustomerLink(
  path: string,
  ask: (body: LinkWanted) => Promise<unknown>,
  isWanted: () => boolean,
  end: () => Promise<unknown>,
) {
  const ownPath = `${path}/own`
  const links = shallowRef<SharesAnswer | null>(null)
  const own = ref<string | null>(null)
  const problem = ref('')
  /** While the server has not said yes, a new link leads nowhere: nobody is shown it. */
  const isMaking = ref(false)

  async function telling(act: () => Promise<unknown>) {
    problem.value = ''
    try {
      await act()
    } catch (error) {
      problem.value = issuesOf(error)[0]!.reason
    }
  }

  async function keepOwn(token: string | null) {
    own.value = token
    await keepAnswer(ownPath, { token })
  }

  /** Counts what was asked and done: what was asked for before a link was made or ended tells nothing of it. */
  let turn = 0
  async function read() {
    const mine = ++turn
    const known = (await keptAnswer<{ token: string | null }>(ownPath))?.token ?? null
    if (mine !== turn) return
    own.value = known
    const found = await fetchKept<SharesAnswer>(path)
    if (mine !== turn) return
    links.value = found
    // Somebody has ended it, or its time has.
    if (found.links.length === 0 && !isWanted()) await keepOwn(null)
  }

  /** Does what changes the links; what was being read before it is read again, also where nothing came of it. */
  async function change(act: () => Promise<boolean>) {
    turn++
    let isDone = true
    try {
      isDone = await act()
    } catch (error) {
      await read().catch(() => {})
      throw error
    }
    if (isDone) await read()
  }

  const make = (days: number) =>
    change(async () => {
      const body = { token: newToken(), days }
      const before = own.value
      isMaking.value = true
      try {
        await keepOwn(body.token)
        return (await ask(body)) !== null
      } catch (error) {
        await keepOwn(before)
        throw error
      } finally {
        isMaking.value = false
      }
    })
  const endAll = () =>
    change(async () => {
      await end()
      await keepOwn(null)
      return true
    })

  return {
    links,
    own,
    isMaking,
    problem,
    look: () => telling(read),
    make: (days: number) => telling(() => make(days)),
    endAll: () => telling(endAll),
  }
}
