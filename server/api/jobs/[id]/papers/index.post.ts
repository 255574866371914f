import { newPaper } from '../../../../../contracts/papers'
import { issuePaper } from '../../../../papers/issue'

export default defineRoute(async event => {
  const issued = await issuePaper(
    useDatabase().db,
    sessionGarage(),
    useShelf(),
    idParam(event),
    await readChecked(event, newPaper),
  )
  setResponseStatus(event, 201)
  return issued
})
