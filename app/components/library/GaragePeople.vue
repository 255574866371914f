<script setup lang="ts">
import { personBody } from '../../../contracts/jobs'
import { roles, roleWords } from '../../../core/people/roles'
import type { Role } from '../../../core/people/roles'
import { newId } from '../../log/ids'

/** Who works here, and what each may do. Somebody who leaves signs nothing new; what they signed keeps their name. */
const garage = useGarageStore()
const people = computed(() => garage.garage!.people)
const mayChange = computed(() => garage.can('people'))
const names = ref<Record<string, string>>({})
const added = reactive({ name: '', role: 'mechanic' as Role })
const { problems, check } = useChecked(personBody)
/** Whose line was sent last: what is wrong stands there. */
const sent = ref('')
const problemAt = (line: string) =>
  sent.value === line ? (problems.value.name ?? problems.value.role ?? problems.value.form ?? '') : ''
watch(
  people,
  list => {
    names.value = Object.fromEntries(list.map(({ id, name }) => [id, name]))
  },
  { immediate: true },
)

type Change = { name: string; gone: boolean; role: Role }
function save(id: string, change: Change, line = id): Promise<boolean> {
  sent.value = line
  return check(change, body => garage.savePerson(id, body))
}
async function add() {
  if (await save(newId(), { ...added, gone: false }, 'new')) added.name = ''
}
/** Who is let in by a link, or gets a new password by one. */
const invited = ref<(typeof people.value)[number] | null>(null)
</script>

<template>
  <section aria-labelledby="people-title">
    <h2 id="people-title" class="text-xl">People</h2>
    <ul v-if="!mayChange" class="ruled mt-2 max-w-xl">
      <li v-for="person in people" :key="person.id" class="flex justify-between gap-4 py-3">
        <span :class="person.gone ? 'text-quiet' : ''">{{ person.name }}</span>
        <span class="text-quiet">{{ person.gone ? 'left' : roleWords[person.role].name }}</span>
      </li>
    </ul>
    <ul v-else class="ruled mt-2 max-w-3xl">
      <li v-for="person in people" :key="person.id" class="py-3">
        <form
          class="flex flex-wrap items-center gap-3"
          novalidate
          @submit.prevent="save(person.id, { ...person, name: names[person.id]! })"
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
          <Field
            v-slot="{ control }"
            :id="`role-${person.id}`"
            problem=""
            :label="`What ${person.name} is here`"
            hide-label
            class="w-40"
          >
            <select
              v-bind="control"
              :value="person.role"
              :disabled="person.gone"
              @change="
                save(person.id, { ...person, role: ($event.target as HTMLSelectElement).value as Role }).then(
                  isKept => isKept || (($event.target as HTMLSelectElement).value = person.role),
                )
              "
            >
              <option v-for="role in roles" :key="role" :value="role">{{ roleWords[role].name }}</option>
            </select>
          </Field>
          <button v-if="!person.gone" type="button" class="button" @click="invited = person">
            {{ person.signsIn ? 'New password' : 'Let in' }}<span class="sr-only">: {{ person.name }}</span>
          </button>
          <button type="button" class="button" @click="save(person.id, { ...person, gone: !person.gone })">
            {{ person.gone ? 'Works here again' : 'Left' }}<span class="sr-only">: {{ person.name }}</span>
          </button>
        </form>
        <p class="mt-1 text-sm text-quiet">
          {{ roleWords[person.role].does }} {{ person.signsIn ? 'Signs in.' : 'Works on the garage’s devices by name.'
          }}{{ person.hasPin ? ' Has a PIN.' : '' }}
        </p>
      </li>
    </ul>
    <form v-if="mayChange" class="mt-3 flex max-w-3xl flex-wrap items-end gap-3" novalidate @submit.prevent="add">
      <Field
        v-slot="{ control }"
        id="person-new"
        label="Somebody new"
        class="min-w-40 flex-1"
        :problem="problemAt('new')"
        ><input v-bind="control" v-model="added.name" class="mt-1" maxlength="60" autocomplete="off"
      /></Field>
      <Field v-slot="{ control }" id="person-new-role" problem="" label="As" class="w-40">
        <select v-bind="control" v-model="added.role" class="mt-1">
          <option v-for="role in roles" :key="role" :value="role">{{ roleWords[role].name }}</option>
        </select>
      </Field>
      <button class="button mb-1">Add</button>
    </form>
    <LazyInviteDialog v-if="invited" :person="invited" @close="invited = null" />
  </section>
</template>
