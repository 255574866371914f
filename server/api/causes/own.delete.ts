export default defineRoute('settle', async event => {
  await useStore(garageOf(event)).learned.forget('causesSince')
  return sendNoContent(event)
})
