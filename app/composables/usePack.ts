import type { Pack } from '../../core/packs'
import { issuesOf } from '../words/reason-of'
import { fetchKept } from '../device/fetch-kept'

/** The layout this job was planned from, as it stands on the server now. */
export function usePack() {
  const { state } = useJob()
  const pack = shallowRef<Pack | null>(null)
  const gone = ref('')
  async function load() {
    gone.value = ''
    try {
      pack.value = await fetchKept<Pack>(`/api/packs/${state.value.procedure!.packId}`)
    } catch (error) {
      gone.value = issuesOf(error)[0]!.reason
    }
  }
  onMounted(load)
  return { pack, gone, load }
}
