import { defineStore } from 'pinia'
import type { GarageAnswer } from '../../contracts/answers'
import { keepHere, readHere } from '../log/keep-here'
import type { GarageSettings, PersonBody } from '../../contracts/jobs'
import { fetchKept, keptAnswer } from '../device/fetch-kept'

const PERSON_KEY = 'eldrin-person'
const ADDRESS = '/api/garage'

/** The garage: its people, its words and its units. */
export const useGarageStore = defineStore('garage', () => {
  const garage = shallowRef<GarageAnswer | null>(null)
  const problem = ref('')
  const personId = ref(readHere(PERSON_KEY) ?? '')

  /** Who asks while it is being asked has the same answer. */
  let loading: Promise<void> | null = null
  const load = (): Promise<void> =>
    (loading ??= ask().finally(() => {
      loading = null
    }))
  async function ask() {
    problem.value = ''
    // Nobody waits for the server to see what this device knows.
    const kept = garage.value ? null : await keptAnswer<GarageAnswer>(ADDRESS)
    if (kept) know(kept)
    try {
      know(await fetchKept<GarageAnswer>(ADDRESS))
    } catch {
      if (!garage.value) problem.value = 'The server did not answer.'
    }
  }
  function know(answer: GarageAnswer) {
    garage.value = answer
    const here = answer.people.filter(person => !person.gone)
    if (!here.some(person => person.id === personId.value)) personId.value = here[0]!.id
  }

  async function change(settings: GarageSettings) {
    await $fetch('/api/garage', { method: 'PATCH', body: settings })
    await ask()
  }

  /** Adds somebody, renames them, or says that they left or came back. Throws what the server refused. */
  async function savePerson(id: string, person: PersonBody) {
    await $fetch(`/api/people/${id}`, { method: 'PUT', body: person })
    await ask()
  }

  function choosePerson(id: string) {
    personId.value = id
    keepHere(PERSON_KEY, id)
  }

  return { garage, problem, personId, load, change, savePerson, choosePerson }
})
