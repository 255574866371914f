import { deleteCookie, setCookie } from 'h3'
import type { H3Event } from 'h3'
import { SIGNED_IN_DAYS } from '../db/queries/who'
import { isBehindTls } from './tls'

/** What a signed-in device brings along with everything it asks. No script reads it, and no other page sends it. */
export const DEVICE_COOKIE = 'eldrin-device'

const kept = (event: H3Event) => ({
  httpOnly: true,
  sameSite: 'strict' as const,
  secure: isBehindTls(event),
  path: '/api',
})

export function giveDeviceCookie(event: H3Event, token: string): void {
  setCookie(event, DEVICE_COOKIE, token, { ...kept(event), maxAge: SIGNED_IN_DAYS * 86_400 })
}

export function takeDeviceCookie(event: H3Event): void {
  deleteCookie(event, DEVICE_COOKIE, kept(event))
}
