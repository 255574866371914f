export default defineRoute(async event => {
  await useStore(sessionGarage()).shares.revoke(idParam(event))
  return sendNoContent(event)
})
