/** A font file that ships with the application. */
export async function fontFile(name: string): Promise<Buffer> {
  const found = await useStorage('assets:fonts').getItemRaw<Uint8Array>(name)
  if (!found) throw new Error(`the font ${name} is not in the build`)
  return Buffer.from(found)
}
