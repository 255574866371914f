import { defineStore } from 'pinia'
import type { GarageAnswer } from '../../contracts/answers'
import { keepHere, readHere } from '../log/keep-here'
import type { GarageSettings, PersonBody } from '../../contracts/jobs'
import { may, wantsPin } from '../../core/people/roles'
import type { Permission } from '../../core/people/roles'
import { fetchKept, isOfTheServer, keptAnswer } from '../device/fetch-kept'
import { letErasedGo } from '../device/erased'
import { handed, HANDED_KEY, sayHanded, withHanded } from '../device/handed'
import { seesOtherwise, seesTheSame } from '../device/sight'

const PERSON_KEY = 'eldrin-person'
const ADDRESS = '/api/garage'

/** The garage: its people, its words and its units. */
export const useGarageStore = defineStore('garage', () => {
  const garage = shallowRef<GarageAnswer | null>(null)
  const problem = ref('')
  /** The server lets this device in no more, or never did. */
  const signedOut = ref(false)
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
      await sayHanded()
      const answer = await fetchKept<GarageAnswer>(ADDRESS)
      const isOther = answer.me?.device && !handed() && (await seesOtherwise(answer.me.role))
      // A server of an older Eldrin says nothing of names that are gone.
      if (isOther || (await letErasedGo(answer.erased ?? []))) location.reload()
      know(answer)
    } catch {
      if (!garage.value && !signedOut.value) problem.value = 'The server did not answer.'
    }
  }
  function know(answer: GarageAnswer) {
    garage.value = withHanded(answer)
    // What the device kept of before there was sign-in says nothing of who asks.
    if (answer.me?.device) {
      personId.value = garage.value!.me.personId
      return
    }
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

  /** Somebody says that it is them now; a signed-in device begins its page anew then. Throws what the server refused. */
  async function choosePerson(id: string, pin?: string) {
    if (garage.value?.me?.device) {
      try {
        await $fetch('/api/session/person', { method: 'POST', body: { personId: id, ...(pin ? { pin } : {}) } })
        keepHere(HANDED_KEY, '')
      } catch (error) {
        if (isOfTheServer(error)) throw error
        takeOver(id)
        return
      }
      const role = garage.value.people.find(person => person.id === id)?.role
      if (role) await seesOtherwise(role)
      return
    }
    personId.value = id
    keepHere(PERSON_KEY, id)
  }

  /** Somebody takes this device over without signal. @throws where only the server can say whether they may */
  function takeOver(id: string) {
    const there = garage.value!
    const person = there.people.find(each => each.id === id)!
    if (wantsPin(person, there.me.device!)) throw new Error('Without signal nobody can look at a PIN here.')
    if (!seesTheSame(person.role, there.me.role))
      throw new Error('Without signal this device can only be passed to somebody who may see the same.')
    keepHere(HANDED_KEY, id)
    garage.value = withHanded(there)
    personId.value = id
  }

  /** Whether who works here now may do something; in doubt the server says no. */
  const can = (permission: Permission): boolean => may(garage.value?.me?.role ?? 'owner', permission)

  return { sayHanded, garage, problem, signedOut, personId, load, change, savePerson, choosePerson, can }
})
