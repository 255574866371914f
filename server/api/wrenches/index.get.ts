export default defineRoute(() => useStore(sessionGarage()).wrenches.list())
