import { apart } from '../../../../../apart'
import { jobStateOf } from '../../../../../job-state'
import { Refused } from '../../../../../refused'

/** A paper as it was issued, whatever has changed since: as JSON, or as PDF with `?as=pdf`. */
export default defineRoute('see-money', async event => {
  const state = await jobStateOf(useStore(garageOf(event)), idParam(event))
  const issued = state.issuedPapers.find(paper => paper.paperId === getRouterParam(event, 'paper'))
  if (!issued) throw new Refused(404, [{ path: 'paper', reason: 'No such paper was issued on this job.' }])
  if (getQuery(event).as !== 'pdf') return issued.paper
  setHeader(event, 'content-type', 'application/pdf')
  setHeader(event, 'content-disposition', `inline; filename="${issued.kind}-${issued.number}.pdf"`)
  return apart('paper-pdf', {
    paper: issued.paper,
    letterhead: issued.letterhead,
    size: issued.size,
    fonts: await fontFiles(),
  })
})
