import type { KitLine } from '../../../contracts/answers'

/** Figures of kit sheets, of one fastener group with `?group=`. */
export default defineRoute('see-jobs', (event): Promise<KitLine[]> => {
  const { group } = getQuery(event)
  return useStore(garageOf(event)).kits.list(typeof group === 'string' ? group : undefined)
})
