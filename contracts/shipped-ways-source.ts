import { inspect } from 'node:util'
import { parse } from 'yaml'
import { bleedingFile } from './bleeding-file'
import type { BleedPhysics } from '../core/pack/bleeding'

/**
 * What the core keeps of the ways of bleeding that ship, as the text of its file: it reads no files, and may be asked for a way by name.
 * @param files the texts of `packs/bleeding/*.yaml`
 */
export function shippedWaysSource(files: string[]): string {
  const ways = files
    .flatMap(yaml => bleedingFile.parse(parse(yaml)))
    .map((way): BleedPhysics => {
      const {
        id,
        title,
        counts,
        minutes,
        perRound,
        restMinutes,
        strokeShare,
        portionMl,
        bleeder,
        frees,
        flowMlS,
        wants,
        advice,
      } = way
      const given = Object.entries({ minutes, frees, flowMlS, wants }).filter(([, value]) => value !== undefined)
      return {
        id,
        title,
        counts,
        perRound,
        restMinutes,
        strokeShare,
        portionMl,
        bleeder,
        ...Object.fromEntries(given),
        advice,
      }
    })
  return `// Made from packs/bleeding by \`npm run packs:schema\`: what stands there is changed there.
import type { BleedPhysics } from '../pack/bleeding'

/** What simulation and advice need of the ways of bleeding that ship. */
export const shippedWays: readonly BleedPhysics[] = ${inspect(ways, { depth: null, breakLength: 116, maxArrayLength: null, maxStringLength: null, sorted: false })}
`
}
