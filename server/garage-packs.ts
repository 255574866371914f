import type { PackLine, PackText } from '../contracts/answers'
import type { JobState } from '../core/job'
import { checkPack } from '../core/packs'
import type { Pack } from '../core/packs'
import { packFromJob } from '../core/packs/pack-from-job'
import { apart } from './apart'
import type { GarageStore } from './db/for-garage'
import type { PackRow } from './db/queries/packs'
import type { PackShelf } from './load-packs'
import { readPackText } from './read-stored-pack'
import { Refused } from './refused'

/** How many of the faults of a refused file are told. */
const TOLD = 20

const operationCount = (pack: Pack) => pack.modules.reduce((sum, module) => sum + module.operations.length, 0)

/**
 * Reads the text of a pack that somebody sends.
 * @throws Refused with path, line and reason of what is wrong
 */
export async function acceptPack(yaml: string, shelf: PackShelf): Promise<Pack> {
  const { pack, problems } = await readPackText(yaml, shelf)
  if (!pack)
    throw new Refused(
      422,
      problems.slice(0, TOLD).map(({ path, reason, line }) => ({ path, reason: `line ${line}: ${reason}` })),
    )
  return pack
}

/** A pack by its id, the garage's own or one that ships; `null` when there is none. */
export async function findPack(store: GarageStore, shelf: PackShelf, id: string): Promise<Pack | null> {
  const shipped = shelf.packs.get(id)
  if (shipped) return shipped
  const row = await store.packs.find(id)
  return row && (await acceptPack(row.yaml, shelf))
}

/** Every layout the garage can choose, its own last. */
export async function listPacks(store: GarageStore, shelf: PackShelf): Promise<PackLine[]> {
  const people = new Map((await store.garage.people()).map(person => [person.id, person.name]))
  const line = (
    { id, title, about, family }: Pick<Pack, 'id' | 'title' | 'about' | 'family'>,
    row: PackRow | null,
    count: number,
  ): PackLine => ({
    id,
    title,
    about,
    ...(family === undefined ? {} : { family }),
    operationCount: count,
    fault: null,
    own: row && {
      revision: row.revision,
      changedAt: row.changedAt.toISOString(),
      changedBy: people.get(row.changedBy) ?? '',
    },
  })
  const own = await Promise.all(
    (await store.packs.list()).map(async row => {
      const faulty = (fault: string) => ({
        ...line({ id: row.id, title: row.id, about: 'A layout of ours' }, row, 0),
        fault,
      })
      try {
        const {
          pack,
          problems: [first],
        } = await readPackText(row.yaml, shelf)
        return pack
          ? line(pack, row, operationCount(pack))
          : faulty(`${first!.path}, line ${first!.line}: ${first!.reason}`)
      } catch (error) {
        // One that cannot be read in time hides none of the others.
        if (error instanceof Refused && error.status === 422) return faulty(error.issues[0]!.reason)
        throw error
      }
    }),
  )
  return [...[...shelf.packs.values()].map(pack => line(pack, null, operationCount(pack))), ...own]
}

/** The text of a pack, as it is exported and edited. */
export async function packTextOf(store: GarageStore, shelf: PackShelf, id: string): Promise<PackText> {
  const shipped = shelf.packs.get(id)
  if (shipped) return { id, yaml: await shippedText(shipped), revision: 0 }
  const row = await store.packs.find(id)
  if (!row) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  return { id, yaml: row.yaml, revision: row.revision }
}
/** Texts of the layouts that ship, once they were asked for. */
const shippedTexts = new Map<string, Promise<string>>()
function shippedText(pack: Pack): Promise<string> {
  const before = shippedTexts.get(pack.id)
  if (before) return before
  const writing = apart('write-pack', { pack })
  shippedTexts.set(pack.id, writing)
  writing.catch(() => shippedTexts.delete(pack.id))
  return writing
}

/** Takes a pack in under the id it gives itself. */
export async function importPack(
  store: GarageStore,
  shelf: PackShelf,
  yaml: string,
  personId: string,
): Promise<PackText> {
  const pack = await acceptPack(yaml, shelf)
  await wantPerson(store, personId)
  if (shelf.packs.has(pack.id))
    throw new Refused(409, [
      { path: 'yaml.id', reason: `"${pack.id}" is the id of a layout that ships. Give yours another.` },
    ])
  if (!(await store.packs.add(pack.id, yaml, personId)))
    throw new Refused(409, [{ path: 'yaml.id', reason: `The garage has a layout "${pack.id}" already.` }])
  return { id: pack.id, yaml, revision: 1 }
}

/** Makes a copy of a pack that the garage may change, under a free id. */
export async function copyPack(store: GarageStore, shelf: PackShelf, id: string, personId: string): Promise<PackText> {
  const pack = await findPack(store, shelf, id)
  if (!pack) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  await wantPerson(store, personId)
  for (let number = 1; ; number++) {
    const copy = {
      ...pack,
      id: `${id}-own${number > 1 ? `-${number}` : ''}`,
      title: `${pack.title}, ours${number > 1 ? ` ${number}` : ''}`,
      version: 1,
    }
    if (shelf.packs.has(copy.id) || (await store.packs.find(copy.id))) continue
    const yaml = await apart('write-pack', { pack: copy })
    if (await store.packs.add(copy.id, yaml, personId)) return { id: copy.id, yaml, revision: 1 }
  }
}

/** Keeps the order of a job as a layout: what is done in the order it was done, the rest as planned. */
export async function keepJobOrder(
  store: GarageStore,
  shelf: PackShelf,
  state: JobState,
  title: string,
  personId: string,
): Promise<{ id: string; title: string }> {
  await wantPerson(store, personId)
  const pack = state.procedure && (await findPack(store, shelf, state.procedure.packId))
  if (!pack || !state.procedure || !state.plan)
    throw new Refused(409, [{ path: 'id', reason: 'The layout this job was planned from is gone.' }])
  const present = new Set(state.procedure.operations.map(operation => operation.id))
  const order = state.plan.order.filter(step => present.has(step))
  const base = `${pack.id.replace(/-job(-\d+)*$/, '')}-job-${state.number}`
  for (let number = 1; ; number++) {
    const id = `${base}${number > 1 ? `-${number}` : ''}`
    if (shelf.packs.has(id) || (await store.packs.find(id))) continue
    const own = packFromJob(
      pack,
      {
        options: state.procedure.options,
        order,
        because: `Our order on job ${state.number}.`,
        added: state.added,
        leftOut: state.leftOut.map(({ stepId }) => stepId),
      },
      state.procedure.links,
      id,
      title,
    )
    const [fault] = checkPack(own, shelf.terms)
    if (fault) throw new Refused(409, [{ path: fault.path, reason: `This order makes no layout: ${fault.reason}` }])
    if (await store.packs.add(id, await apart('write-pack', { pack: own }), personId)) return { id, title }
  }
}

/** Changes a pack of the garage; nobody's change since `revision` is written over. */
export async function changePack(
  store: GarageStore,
  shelf: PackShelf,
  id: string,
  revision: number,
  yaml: string,
  personId: string,
): Promise<PackText> {
  if (shelf.packs.has(id))
    throw new Refused(409, [
      { path: 'id', reason: 'A layout that ships is not changed. Duplicate it and change the copy.' },
    ])
  if (!(await store.packs.find(id))) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
  const pack = await acceptPack(yaml, shelf)
  await wantPerson(store, personId)
  if (pack.id !== id) throw new Refused(422, [{ path: 'yaml.id', reason: `The id of a layout stays: "${id}".` }])
  if (!(await store.packs.change(id, revision, yaml, personId)))
    throw new Refused(409, [
      {
        path: 'revision',
        reason: 'Somebody else changed this layout meanwhile. Open it again; what you wrote is still in the editor.',
      },
    ])
  return { id, yaml, revision: revision + 1 }
}

/** Removes a pack of the garage. Jobs planned from it keep their work. */
export async function removePack(store: GarageStore, shelf: PackShelf, id: string): Promise<void> {
  if (shelf.packs.has(id)) throw new Refused(409, [{ path: 'id', reason: 'A layout that ships is not removed.' }])
  if (!(await store.packs.remove(id))) throw new Refused(404, [{ path: 'id', reason: `There is no layout "${id}".` }])
}

async function wantPerson(store: GarageStore, personId: string): Promise<void> {
  const people = await store.garage.people()
  if (!people.some(person => person.id === personId))
    throw new Refused(422, [{ path: 'personId', reason: 'Nobody of this garage has that id.' }])
}
