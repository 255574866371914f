import type { PackLine } from '../../../contracts/answers'

export default defineRoute((): PackLine[] => [...useShelf().packs.values()].map(({ id, title, about }) => ({ id, title, about })))
