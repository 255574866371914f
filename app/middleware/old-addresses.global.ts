import { todaysAddress } from '../links/old-addresses'

/** An address that somebody kept goes on leading there. */
export default defineNuxtRouteMiddleware(to => {
  const today = todaysAddress(to.path, to.query)
  return today ? navigateTo(today, { replace: true }) : undefined
})
