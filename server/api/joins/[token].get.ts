import type { JoinAnswer } from '../../../contracts/who'
import { invitationBy } from '../../who/join'

export default defineRoute('anyone', async (event): Promise<JoinAnswer> => {
  const { kind, garage, role, name } = await invitationBy(event)
  return { kind, garage, role, name }
})
