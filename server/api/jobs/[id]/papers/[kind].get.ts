import { paperKinds } from '../../../../../core/formats'
import { apart } from '../../../../apart'
import { paperOf } from '../../../../papers/paper-of'
import { Refused } from '../../../../refused'
import { PAPERS, takeOwnTry } from '../../../../who/limits'

/** A paper of a job: its content as JSON, or as PDF with `?as=pdf` on the garage's paper or `?paper=a4|letter`. */
export default defineRoute('see-money', async event => {
  const kind = paperKinds.find(each => each === getRouterParam(event, 'kind'))
  if (!kind) throw new Refused(404, [{ path: 'kind', reason: `One of: ${paperKinds.join(', ')}.` }])
  const { as, paper } = getQuery(event)
  if (paper !== undefined && paper !== 'a4' && paper !== 'letter')
    throw new Refused(400, [{ path: 'paper', reason: 'One of: a4, letter.' }])
  const store = useStore(garageOf(event))
  const content = await paperOf(store, useShelf(), idParam(event), kind)
  if (as !== 'pdf') return content
  await takeOwnTry(event, PAPERS)
  const garage = await store.garage.settings()
  setHeader(event, 'content-type', 'application/pdf')
  setHeader(event, 'content-disposition', `inline; filename="job-${content.number}-${kind}.pdf"`)
  const { name, town, address } = garage
  return apart('paper-pdf', {
    paper: content,
    letterhead: { name, town, address },
    size: paper ?? garage.paper,
    fonts: await fontFiles(),
  })
})
