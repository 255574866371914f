export default defineRoute('settle', async event => {
  await useStore(garageOf(event)).learned.forget('minutesSince')
  return sendNoContent(event)
})
