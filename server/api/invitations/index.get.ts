import type { InvitationLine } from '../../../contracts/who'

export default defineRoute('people', async (event): Promise<InvitationLine[]> =>
  (await useStore(garageOf(event)).who.invitations()).map(({ id, kind, role, name, expiresAt }) => ({
    id,
    kind,
    role,
    name,
    expiresAt: expiresAt.toISOString(),
  })),
)
