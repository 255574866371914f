import { createHash, randomBytes } from 'node:crypto'
import { Hash } from '@adonisjs/hash'
import { Scrypt } from '@adonisjs/hash/drivers/scrypt'
import pLimit from 'p-limit'

/** Bytes of a token: nobody guesses it. */
const TOKEN_BYTES = 32

/** What nobody may guess, to be put into a cookie or a link; the records keep only {@link hashOf} it. */
export const newToken = (): string => randomBytes(TOKEN_BYTES).toString('base64url')

/** A token as the records keep it. Long and random, it needs no slow hash. */
export const hashOf = (token: string): string => createHash('sha256').update(token).digest('base64url')

/** scrypt with N = 2¹⁷, r = 8, p = 1: the OWASP Password Storage Cheat Sheet's first choice for it. */
const slow = new Hash(new Scrypt({ cost: 131_072, blockSize: 8, parallelization: 1, maxMemory: 160 * 1024 * 1024 }))

/** Each takes 128 MB and a processor for a moment: however many come to the door at once, two are looked at. */
const turn = pLimit(2)

/** A password or a PIN as the records keep it. */
export const hashSecret = (secret: string): Promise<string> => turn(() => slow.make(secret))

/** Whether it is the one. Takes as long for somebody who is not there, so that nobody learns who is. */
export async function isSecret(kept: string | null | undefined, said: string): Promise<boolean> {
  const against = kept ?? (await (nobodys ??= hashSecret(newToken())))
  const isIt = await turn(() => slow.verify(against, said))
  return isIt && typeof kept === 'string'
}
let nobodys: Promise<string> | undefined
