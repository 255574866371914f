import { defineStore } from 'pinia'
import type { GarageAnswer } from '../../contracts/answers'
import type { GarageSettings } from '../../contracts/jobs'

const PERSON_KEY = 'eldrin-person'

/** The garage: its people, its words and its units. */
export const useGarageStore = defineStore('garage', () => {
  const garage = shallowRef<GarageAnswer | null>(null)
  const problem = ref('')
  const personId = ref(localStorage.getItem(PERSON_KEY) ?? '')

  async function load() {
    problem.value = ''
    try {
      garage.value = await $fetch<GarageAnswer>('/api/garage')
      if (!garage.value.people.some(person => person.id === personId.value)) personId.value = garage.value.people[0]!.id
    }
    catch {
      problem.value = 'The server did not answer.'
    }
  }

  async function change(settings: GarageSettings) {
    await $fetch('/api/garage', { method: 'PATCH', body: settings })
    await load()
  }

  function choosePerson(id: string) {
    personId.value = id
    localStorage.setItem(PERSON_KEY, id)
  }

  return { garage, problem, personId, load, change, choosePerson }
})
