export default defineRoute('see-jobs', event => useStore(garageOf(event)).wrenches.list())
