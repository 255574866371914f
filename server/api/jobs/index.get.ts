export default defineRoute(async event => sendJson(event, await useStore(sessionGarage()).jobs.summaries()))
