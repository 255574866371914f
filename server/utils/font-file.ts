import { FACES } from '../papers/faces'
import type { FontFiles } from '../papers/faces'

/** The files of the papers' type, which ship with the application. */
export async function fontFiles(): Promise<FontFiles> {
  return Object.fromEntries(
    await Promise.all(
      Object.values(FACES).map(async name => {
        const found = await useStorage('assets:fonts').getItemRaw<Uint8Array>(name)
        if (!found) throw new Error(`the font ${name} is not in the build`)
        return [name, new Uint8Array(found)] as const
      }),
    ),
  )
}
