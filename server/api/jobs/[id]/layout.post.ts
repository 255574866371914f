import { z } from 'zod'
import { uuid, words } from '../../../../contracts/common'
import { keepJobOrder } from '../../../garage-packs'
import { jobStateOf } from '../../../job-state'

const request = z.strictObject({ title: words(120), personId: uuid })

/** Keeps the order a job was done in as a layout of the garage. */
export default defineRoute('teach', async event => {
  const id = idParam(event)
  const { title, personId } = await readChecked(event, request)
  const store = useStore(garageOf(event))
  const kept = await keepJobOrder(store, useShelf(), await jobStateOf(store, id), title, personId)
  setResponseStatus(event, 201)
  return kept
})
