export default defineRoute(async () => {
  await useDatabase().sql`select 1`
  return { ready: true }
})
