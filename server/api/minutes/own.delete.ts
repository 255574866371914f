export default defineRoute(async event => {
  await useStore(sessionGarage()).learned.forget('minutesSince')
  return sendNoContent(event)
})
