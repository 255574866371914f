import { invitationBody } from '../../../contracts/who'
import type { InvitedAnswer } from '../../../contracts/who'
import { daysFromNow } from '../../db/from-now'
import { Refused } from '../../refused'
import { canMail, sendMail } from '../../who/mail'
import { hashOf, newToken } from '../../who/secrets'

const proxied = { xForwardedHost: process.env.ELDRIN_PROXY === '1', xForwardedProto: process.env.ELDRIN_PROXY === '1' }

const letterOf = (kind: 'join' | 'reset', garage: string, link: string, days: number) =>
  [
    kind === 'join' ? `${garage} lets you in to its jobs.` : `A new password for ${garage}.`,
    `This link opens once, for ${days} days:`,
    link,
    'If you do not know what this is, leave it: nothing happens.',
  ].join('\n\n')

/** Makes a link that lets somebody in, or set a new password. It is told this once; the records keep its hash. */
export default defineRoute('people', async (event): Promise<InvitedAnswer> => {
  const { garageId, personId: madeBy } = await askerOf(event)
  const { days, mailTo, ...asked } = await readChecked(event, invitationBody, undefined, 'anybody')
  if (mailTo !== undefined && !canMail())
    throw new Refused(422, [{ path: 'mailTo', reason: 'This server sends no mail. Give the link by hand.' }])
  const { who, garage } = useStore(garageId)
  const person = asked.personId === null ? null : await who.person(asked.personId)
  if (asked.personId !== null && !person)
    throw new Refused(422, [{ path: 'personId', reason: 'Nobody here has that id.' }])
  if (asked.kind === 'reset' && !person?.accountId)
    throw new Refused(422, [{ path: 'personId', reason: 'Who never signed in has no password to set anew.' }])
  if (asked.kind === 'join' && person?.accountId)
    throw new Refused(422, [{ path: 'personId', reason: `${person.name} can sign in already.` }])
  const token = newToken()
  await who.invite({ ...asked, tokenHash: hashOf(token), madeBy, expiresAt: daysFromNow(days) })
  setResponseStatus(event, 201)
  if (mailTo === undefined) return { id: asked.id, token, mailed: null }
  const { name } = await garage.settings()
  const link = `${getRequestURL(event, proxied).origin}/join/${token}`
  const subject = asked.kind === 'join' ? `Come in to ${name}` : `A new password for ${name}`
  const mailed = await sendMail(mailTo, subject, letterOf(asked.kind, name, link, days))
  return { id: asked.id, token, mailed }
})
