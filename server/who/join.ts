import { getRouterParam } from 'h3'
import type { H3Event } from 'h3'
import type { z } from 'zod'
import type { joinBody } from '../../contracts/who'
import { inGarage } from '../db/eyes'
import { forGarage } from '../db/for-garage'
import { accountBySignIn, endDevicesOf, invitationOf, newAccount, newPassword } from '../db/queries/who'
import { Refused } from '../refused'
import { useDatabase } from '../utils/database'
import { addressOf, LINKS, SIGN_IN, takeTry } from './limits'
import { hashOf, hashSecret, isSecret } from './secrets'
import { wantUncommon } from './tried-first'

type Invitation = NonNullable<Awaited<ReturnType<typeof invitationOf>>>

/** The invitation of this address. @throws Refused where it is unknown, taken up, taken back or too old; the answer is the same */
export async function invitationBy(event: H3Event): Promise<Invitation> {
  await takeTry(LINKS, addressOf(event))
  const token = getRouterParam(event, 'token') ?? ''
  const found = /^[\w-]{20,80}$/.test(token) ? await invitationOf(useDatabase().db, hashOf(token)) : null
  if (found) return found
  throw new Refused(404, [
    { path: 'token', reason: 'This invitation leads nowhere, or not any more. Ask the garage for a new one.' },
  ])
}

/**
 * Takes an invitation up: somebody new of the garage, somebody of its list who can sign in from now on, or a new password.
 * Whoever has an account already joins with its name and password.
 */
export async function join(
  invitation: Invitation,
  body: z.infer<typeof joinBody>,
): Promise<{ garageId: string; accountId: string; personId: string }> {
  const { db } = useDatabase()
  const { garageId } = invitation
  const there = await accountBySignIn(db, body.signIn)
  if (invitation.kind === 'reset') return resetPassword(invitation, body, there?.id ?? null)
  if (there) await takeTry(SIGN_IN, `join ${body.signIn}`)
  if (there && !(await isSecret(there.passwordHash, body.password)))
    throw new Refused(422, [
      {
        path: 'signIn',
        reason: 'Somebody signs in by that name. If it is you, type your password; if not, take another name.',
      },
    ])
  if (!there) wantUncommon(body.password)
  const passwordHash = there ? null : await hashSecret(body.password)
  return inGarage(
    db,
    garageId,
    async tx => {
      const { who, garage } = forGarage(tx, garageId)
      if (!(await who.endInvitation(invitation.id)))
        throw new Refused(404, [{ path: 'token', reason: 'This invitation was taken up by somebody else just now.' }])
      const accountId = there?.id ?? (await newAccount(tx, body.signIn, passwordHash!))
      if (!accountId) throw new Refused(409, [{ path: 'signIn', reason: 'Somebody took that name just now.' }])
      const mine = (await who.ofAccount(accountId))?.id
      if (mine !== undefined)
        throw new Refused(409, [{ path: 'signIn', reason: 'You belong to this garage already. Sign in.' }])
      const personId = invitation.personId ?? crypto.randomUUID()
      if (invitation.personId) await who.belongsTo(personId, accountId, invitation.role)
      else await who.addPerson({ id: personId, name: body.name ?? invitation.name, role: invitation.role, accountId })
      if (invitation.kind === 'first' && body.garage) await garage.changeSettings(body.garage)
      return { garageId, accountId, personId }
    },
    true,
  )
}

async function resetPassword(invitation: Invitation, body: z.infer<typeof joinBody>, accountId: string | null) {
  const { db } = useDatabase()
  const { garageId } = invitation
  const person = await forGarage(db, garageId).who.person(invitation.personId!)
  if (!person?.accountId || person.accountId !== accountId)
    throw new Refused(422, [{ path: 'signIn', reason: 'This link is for another name.' }])
  wantUncommon(body.password)
  const passwordHash = await hashSecret(body.password)
  await inGarage(
    db,
    garageId,
    async tx => {
      const { who } = forGarage(tx, garageId)
      if (!(await who.endInvitation(invitation.id)))
        throw new Refused(404, [{ path: 'token', reason: 'This link was used just now.' }])
      await newPassword(tx, person.accountId!, passwordHash)
      // Whoever knew the old one is out.
      await endDevicesOf(tx, person.accountId!)
    },
    true,
  )
  return { garageId, accountId: person.accountId, personId: person.id }
}
