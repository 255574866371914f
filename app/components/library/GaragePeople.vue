<script setup lang="ts">
import { personBody } from '../../../contracts/jobs'
import { newId } from '../../lib/ids'
import { issuesOf } from '../../lib/reason-of'

/** Who works here. Somebody who leaves signs nothing new; what they signed keeps their name. */
const garage = useGarageStore()
const people = computed(() => garage.garage!.people)
const names = ref<Record<string, string>>({})
const added = ref('')
const problem = ref<{ at: string, reason: string } | null>(null)
watch(people, list => { names.value = Object.fromEntries(list.map(({ id, name }) => [id, name])) }, { immediate: true })

async function save(id: string, name: string, gone: boolean): Promise<boolean> {
  problem.value = null
  const body = personBody.safeParse({ name, gone })
  const reason = body.success ? await garage.savePerson(id, body.data).then(() => null, error => issuesOf(error)[0]!.reason) : body.error.issues[0]!.message
  if (reason !== null) problem.value = { at: id, reason }
  return reason === null
}
async function add() {
  const id = newId()
  if (await save(id, added.value, false)) added.value = ''
  else problem.value = { at: 'new', reason: problem.value!.reason }
}
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title" class="text-xl">People</h2>
    <ul class="ruled mt-2 max-w-xl">
      <li v-for="person in people" :key="person.id" class="py-2">
        <form class="flex flex-wrap items-center gap-3" novalidate @submit.prevent="save(person.id, names[person.id]!, person.gone)">
          <input v-model="names[person.id]" :aria-label="`Name of ${person.name}`" class="min-w-40 flex-1" maxlength="60" :class="person.gone ? 'text-quiet' : ''" :aria-invalid="problem?.at === person.id ? true : undefined">
          <button v-if="names[person.id] !== person.name" class="button button-main">Keep</button>
          <button type="button" class="button" @click="save(person.id, person.name, !person.gone)">{{ person.gone ? 'Works here again' : 'Left' }}<span class="sr-only">: {{ person.name }}</span></button>
          <p v-if="problem?.at === person.id" class="w-full text-danger" role="alert">{{ problem.reason }}</p>
        </form>
      </li>
    </ul>
    <form class="mt-3 flex max-w-xl flex-wrap items-end gap-3" novalidate @submit.prevent="add">
      <div class="min-w-40 flex-1"><label class="label" for="person-new">Somebody new</label><input id="person-new" v-model="added" class="mt-1" maxlength="60" autocomplete="off" :aria-invalid="problem?.at === 'new' ? true : undefined"></div>
      <button class="button">Add</button>
      <p v-if="problem?.at === 'new'" class="w-full text-danger" role="alert">{{ problem.reason }}</p>
    </form>
  </section>
</template>
