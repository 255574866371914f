import { packTextOf } from '../../../garage-packs'

/** The text of a pack: a YAML file to save, or JSON with its revision for who asks for that. */
export default defineRoute('see-jobs', async event => {
  const text = await packTextOf(useStore(garageOf(event)), useShelf(), getRouterParam(event, 'id')!)
  if (getHeader(event, 'accept')?.includes('application/json')) return sendJson(event, text)
  setHeader(event, 'content-type', 'application/yaml; charset=utf-8')
  setHeader(event, 'content-disposition', `attachment; filename="${text.id}.yaml"`)
  return text.yaml
})
