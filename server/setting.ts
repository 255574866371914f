/**
 * A number that whoever runs Eldrin may set in its environment.
 * @param usual what holds where nothing is set
 * @param least the smallest that makes sense
 * @throws Error where something is set that is no such number
 */
export function numberSetting(name: string, usual: number, least = 0): number {
  const said = process.env[name]?.trim()
  if (!said) return usual
  const value = Number(said)
  if (!Number.isFinite(value) || value < least)
    throw new Error(`${name} is “${said}”: it wants a number of at least ${least}.`)
  return value
}
