import { hideInSummary } from '../../../core/rights/hide'

export default defineRoute('see-jobs', async event => {
  const { garageId, role } = await askerOf(event)
  const lines = await useStore(garageId).jobs.summaries()
  return sendJson(
    event,
    lines.map(line => hideInSummary(role, line)),
  )
})
