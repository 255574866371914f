import { garageSettings } from '../../contracts/jobs'

export default defineRoute('settle', async event => {
  const settings = await readChecked(event, garageSettings)
  await useStore(garageOf(event)).garage.changeSettings(settings)
  return settings
})
