import type { GarageAnswer } from '../../contracts/answers'
import { keptAnswer } from '../device/fetch-kept'
import { thisKeep } from '../device/open-keep'

/**
 * Goes in, once this device is signed in: what waits is sent, and what another garage left here is not shown to this one.
 * @returns what does it; it gives back why it does not go in, where acts of another garage wait here
 */
export function useArrival(): () => Promise<string> {
  const garage = useGarageStore()
  const route = useRoute()
  return async () => {
    const before = await keptAnswer<GarageAnswer>('/api/garage')
    garage.signedOut = false
    await garage.load()
    if (before && garage.garage && before.id !== garage.garage.id) {
      const waits = await (await thisKeep()).jobsWaiting()
      if (waits.length > 0) {
        await $fetch('/api/sign-out', { method: 'POST' })
        return `Work for ${before.name} waits on this device and is not sent yet. Sign in there first.`
      }
      const { forgetGarage } = await import('../device/wipe')
      await forgetGarage()
    }
    const { to } = route.query
    // All of it anew: nothing of who was here before stays on the page.
    location.assign(typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/')
    return ''
  }
}
