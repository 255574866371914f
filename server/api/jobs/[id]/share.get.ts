import type { SharesAnswer } from '../../../../contracts/answers'
import { Refused } from '../../../refused'
import { customersOrigin } from '../../../shared/customers-host'

/** The links of a job that lead to it. Their tokens are known to who made them alone. */
export default defineRoute('share', async (event): Promise<SharesAnswer> => {
  const id = idParam(event)
  const { jobs, shares } = useStore(garageOf(event))
  if (!(await jobs.find(id))) throw new Refused(404, [{ path: 'id', reason: 'There is no such job.' }])
  const links = await shares.ofJob(id)
  return {
    origin: customersOrigin(),
    links: links.map(link => ({
      id: link.id,
      createdAt: link.createdAt.toISOString(),
      expiresAt: link.expiresAt.toISOString(),
    })),
  }
})
