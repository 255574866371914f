import { getRequestHost, getRequestProtocol } from 'h3'
import type { H3Event } from 'h3'
import {
  generateAuthenticationOptions,
  generateRegistrationOptions,
  verifyAuthenticationResponse,
  verifyRegistrationResponse,
} from '@simplewebauthn/server'
import type { AuthenticationResponseJSON, RegistrationResponseJSON } from '@simplewebauthn/server'
import { addPasskey, keepChallenge, passkeyById, passkeysOf, takeChallenge, usedPasskey } from '../db/queries/passkeys'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'

/** What a passkey is bound to: the name that Eldrin is reached by, and the whole address of its pages. */
function boundTo(event: H3Event): { rpID: string; origin: string } {
  const host = getRequestHost(event)
  const protocol = getRequestProtocol(event, { xForwardedProto: process.env.ELDRIN_PROXY === '1' })
  return { rpID: host.replace(/:\d+$/, ''), origin: `${protocol}://${host}` }
}

const notIt = () => new Refused(401, [{ path: 'passkey', reason: 'This passkey is not known here.' }])

/** What a browser is asked, to make a passkey for an account. */
export async function newPasskeyOptions(event: H3Event, account: { id: string; signIn: string }) {
  const { db } = useDatabase()
  const there = await passkeysOf(db, account.id)
  const options = await generateRegistrationOptions({
    rpName: 'Eldrin',
    rpID: boundTo(event).rpID,
    userName: account.signIn,
    userID: new TextEncoder().encode(account.id),
    excludeCredentials: there.map(({ id }) => ({ id })),
    authenticatorSelection: { residentKey: 'required', userVerification: 'required' },
  })
  await keepChallenge(db, options.challenge, account.id)
  return options
}

/** Keeps a passkey that a browser has made. @throws Refused where it was made for something else, or too late */
export async function keepPasskey(
  event: H3Event,
  accountId: string,
  name: string,
  response: RegistrationResponseJSON,
): Promise<void> {
  const { db } = useDatabase()
  const { rpID, origin } = boundTo(event)
  const made = await verifyRegistrationResponse({
    response,
    expectedChallenge: challenge => takeChallenge(db, challenge, accountId),
    expectedOrigin: origin,
    expectedRPID: rpID,
  }).catch(() => null)
  if (!made?.verified)
    throw new Refused(422, [{ path: 'passkey', reason: 'This passkey was not made here just now. Try again.' }])
  const { credential, credentialBackedUp } = made.registrationInfo
  await addPasskey(db, {
    id: credential.id,
    accountId,
    name,
    publicKey: Buffer.from(credential.publicKey).toString('base64url'),
    counter: credential.counter,
    transports: credential.transports ?? [],
    backedUp: credentialBackedUp,
  })
}

/** What a browser is asked, to sign in with a passkey; which one, it finds by itself. */
export async function signInOptions(event: H3Event) {
  const options = await generateAuthenticationOptions({ rpID: boundTo(event).rpID, userVerification: 'required' })
  await keepChallenge(useDatabase().db, options.challenge, null)
  return options
}

/** The account whose passkey has signed. @throws Refused where none has */
export async function accountOfPasskey(event: H3Event, response: AuthenticationResponseJSON): Promise<string> {
  const { db } = useDatabase()
  const { rpID, origin } = boundTo(event)
  const known = await passkeyById(db, String(response.id))
  if (!known) throw notIt()
  const signed = await verifyAuthenticationResponse({
    response,
    expectedChallenge: challenge => takeChallenge(db, challenge, null),
    expectedOrigin: origin,
    expectedRPID: rpID,
    credential: {
      id: known.id,
      publicKey: new Uint8Array(Buffer.from(known.publicKey, 'base64url')),
      counter: known.counter,
    },
  }).catch(() => null)
  if (!signed?.verified) throw notIt()
  await usedPasskey(db, known.id, signed.authenticationInfo.newCounter)
  return known.accountId
}
