export default defineRoute(() => useStore(sessionGarage()).jobs.summaries())
