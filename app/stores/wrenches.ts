import { defineStore } from 'pinia'
import type { WrenchBody } from '../../contracts/wrenches'
import type { TorqueWrench } from '../../core/fasteners'
import { fetchKept } from '../device/fetch-kept'

/** The garage's torque wrenches. */
export const useWrenchStore = defineStore('wrenches', () => {
  const wrenches = shallowRef<TorqueWrench[] | null>(null)
  const problem = ref('')

  async function load() {
    problem.value = ''
    try {
      wrenches.value = await fetchKept<TorqueWrench[]>('/api/wrenches')
    } catch {
      problem.value = 'The server did not answer.'
    }
  }
  async function put(id: string, body: WrenchBody) {
    await $fetch(`/api/wrenches/${id}`, { method: 'PUT', body })
    await load()
  }
  async function remove(id: string) {
    await $fetch(`/api/wrenches/${id}`, { method: 'DELETE' })
    await load()
  }
  return { wrenches, problem, load, put, remove }
})
