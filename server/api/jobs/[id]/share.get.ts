export default defineRoute(async event => ({ link: await useStore(sessionGarage()).shares.ofJob(idParam(event)) }))
