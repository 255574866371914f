import { garageSettings } from '../../contracts/jobs'

export default defineRoute(async event => {
  const settings = await readChecked(event, garageSettings)
  await useStore(sessionGarage()).garage.changeSettings(settings)
  return settings
})
