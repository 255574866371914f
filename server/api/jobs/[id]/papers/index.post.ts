import { newPaper } from '../../../../../contracts/papers'
import { issuePaper } from '../../../../papers/issue'

export default defineRoute('charge', async event => {
  const issued = await issuePaper(
    useDatabase().db,
    garageOf(event),
    useShelf(),
    idParam(event),
    await readChecked(event, newPaper),
  )
  setResponseStatus(event, 201)
  return issued
})
