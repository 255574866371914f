import { z } from 'zod'
import { roles } from '../core/people/roles'
import type { Role } from '../core/people/roles'
import { device, uuid, words } from './common'

/** What is typed to sign in: capital letters count as small ones. */
const signInName = z
  .string()
  .trim()
  .toLowerCase()
  .min(2, 'At least two characters.')
  .max(80, 'At most 80 characters.')
  .regex(/^[^\s]+$/, 'Without spaces.')

/** Length is what counts: NIST SP 800-63B asks for no mixture of signs. */
const newPassword = z.string().min(10, 'At least ten characters.').max(200, 'At most 200 characters.')
const password = z.string().min(1, 'The password is wanted.').max(200)
const pin = z.string().regex(/^\d{4}$/, 'Four digits.')

/** What a device calls itself where devices are listed. */
const deviceName = words(80)

/** `POST /api/sign-in`; `garageId` says where, for somebody who belongs to several. */
export const signInBody = z.strictObject({
  signIn: signInName,
  password,
  deviceId: device,
  deviceName,
  garageId: uuid.optional(),
})

/** `POST /api/joins/:token`: taking an invitation up. The name and the garage are asked of the first owner alone. */
export const joinBody = z.strictObject({
  signIn: signInName,
  password: newPassword,
  deviceId: device,
  deviceName,
  name: words(80).optional(),
  garage: z.strictObject({ name: words(80), town: words(80) }).optional(),
})

/** `POST /api/invitations` */
export const invitationBody = z.strictObject({
  id: uuid,
  kind: z.enum(['join', 'reset']),
  role: z.enum(roles),
  name: words(80),
  personId: uuid.nullable(),
  days: z.number().int().min(1).max(30),
  /** Where it is mailed to, where this server can. */
  mailTo: z.email('An address such as name@garage.example.').max(200).optional(),
})
export type InvitationBody = z.infer<typeof invitationBody>

/** `POST /api/session/person`: somebody says that it is them now. */
export const handOverBody = z.strictObject({ personId: uuid, pin: pin.optional() })

/** `PUT /api/session/pin`, `null` for none. */
export const pinBody = z.strictObject({ pin: pin.nullable() })

/** `PUT /api/session/password` */
export const passwordBody = z.strictObject({ old: password, fresh: newPassword })

/** `PATCH /api/session/device` */
export const ownDeviceBody = z.strictObject({ asks: z.enum(['pin', 'tag']) })

/** What a browser says of a passkey; the library that reads it looks at every part. */
const signedByKey = z.looseObject({ id: z.string().min(1).max(2000), response: z.looseObject({}) })

/** `POST /api/passkeys/options` */
export const passkeyOptionsBody = z.strictObject({ password })

/** `POST /api/passkeys` */
export const passkeyBody = z.strictObject({ name: words(80), response: signedByKey })

/** `POST /api/sign-in/passkey` */
export const passkeySignInBody = z.strictObject({
  response: signedByKey,
  deviceId: device,
  deviceName,
  garageId: uuid.optional(),
})

/** `GET /api/passkeys` */
export interface PasskeyLine {
  id: string
  name: string
  createdAt: string
}

/** `POST /api/invitations` */
export interface InvitedAnswer {
  id: string
  token: string
  /** Whether the link was mailed; `null` where nobody asked. */
  mailed: boolean | null
}

/** Who asks, as `GET /api/garage` says it. */
export interface MeAnswer {
  personId: string
  role: Role
  /** `null` in the demo, which everybody has. */
  device: { id: string; asks: 'pin' | 'tag'; signedInAs: Role } | null
}

/** `POST /api/sign-in` for somebody of several garages who has not said which. */
export interface PlacesAnswer {
  places: { garageId: string; garage: string; role: Role }[]
}

/** `GET /api/joins/:token` */
export interface JoinAnswer {
  kind: 'join' | 'reset' | 'first'
  garage: string
  role: Role
  name: string
}

/** `GET /api/devices`, the last seen first. */
export interface DeviceLine {
  id: string
  name: string
  person: string
  asks: 'pin' | 'tag'
  signedInAt: string
  seenAt: string
  own: boolean
}

/** `GET /api/invitations` */
export interface InvitationLine {
  id: string
  kind: 'join' | 'reset' | 'first'
  role: Role
  name: string
  expiresAt: string
}
