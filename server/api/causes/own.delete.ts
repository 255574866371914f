export default defineRoute(async event => {
  await useStore(sessionGarage()).learned.forget('causesSince')
  return sendNoContent(event)
})
