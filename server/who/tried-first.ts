import { dictionary } from '@zxcvbn-ts/language-common'
import { Refused } from '../refused'

/** Passwords that are tried before all others: those that leaked most often. */
const known = new Set(dictionary['passwords-common'])

/** @throws Refused where a password is one of those that are tried first */
export function wantUncommon(password: string, path = 'password'): void {
  const plain = password.toLowerCase()
  // A number or two at its end is tried as well.
  if (!known.has(plain) && !known.has(plain.replace(/\d{1,4}$/, ''))) return
  throw new Refused(422, [{ path, reason: 'This password is among those that are tried first. Take another.' }])
}
