<script setup lang="ts">
import { personBody } from '../../../contracts/jobs'
import { newId } from '../../log/ids'

/** Who works here. Somebody who leaves signs nothing new; what they signed keeps their name. */
const garage = useGarageStore()
const people = computed(() => garage.garage!.people)
const names = ref<Record<string, string>>({})
const added = ref('')
const { problems, check } = useChecked(personBody)
/** Whose line was sent last: what is wrong stands there. */
const sent = ref('')
const problemAt = (line: string) => (sent.value === line ? (problems.value.name ?? problems.value.form ?? '') : '')
watch(
  people,
  list => {
    names.value = Object.fromEntries(list.map(({ id, name }) => [id, name]))
  },
  { immediate: true },
)

function save(id: string, name: string, gone: boolean, line = id): Promise<boolean> {
  sent.value = line
  return check({ name, gone }, body => garage.savePerson(id, body))
}
async function add() {
  if (await save(newId(), added.value, false, 'new')) added.value = ''
}
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title" class="text-xl">People</h2>
    <ul class="ruled mt-2 max-w-xl">
      <li v-for="person in people" :key="person.id" class="py-2">
        <form
          class="flex flex-wrap items-center gap-3"
          novalidate
          @submit.prevent="save(person.id, names[person.id]!, person.gone)"
        >
          <Field
            v-slot="{ control }"
            :id="`person-${person.id}`"
            :label="`Name of ${person.name}`"
            hide-label
            class="min-w-40 flex-1"
            :problem="problemAt(person.id)"
            ><input v-bind="control" v-model="names[person.id]" maxlength="60" :class="person.gone ? 'text-quiet' : ''"
          /></Field>
          <button v-if="names[person.id] !== person.name" class="button button-main">Keep</button>
          <button type="button" class="button" @click="save(person.id, person.name, !person.gone)">
            {{ person.gone ? 'Works here again' : 'Left' }}<span class="sr-only">: {{ person.name }}</span>
          </button>
        </form>
      </li>
    </ul>
    <form class="mt-3 flex max-w-xl flex-wrap items-end gap-3" novalidate @submit.prevent="add">
      <Field
        v-slot="{ control }"
        id="person-new"
        label="Somebody new"
        class="min-w-40 flex-1"
        :problem="problemAt('new')"
        ><input v-bind="control" v-model="added" class="mt-1" maxlength="60" autocomplete="off"
      /></Field>
      <button class="button">Add</button>
    </form>
  </section>
</template>
