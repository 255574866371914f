import { ref } from 'vue'
import { CONTRACT, CONTRACT_HEADER, NOT_UNDERSTOOD } from '../../contracts/version'

/** What this page's Eldrin is beside the server's, where the two do not understand each other; `null` while they do. */
export const versionGap = ref<'older' | 'newer' | null>(null)

/** What every request to the server bears. */
export const contractHeaders = { [CONTRACT_HEADER]: String(CONTRACT) }

/** Hears from an answer whether the server understands this page. */
export function hearContract({ status, headers }: Pick<Response, 'status' | 'headers'>): void {
  if (status !== NOT_UNDERSTOOD) {
    if (status < 300) versionGap.value = null
    return
  }
  versionGap.value = Number(headers.get(CONTRACT_HEADER)) < CONTRACT ? 'newer' : 'older'
}
