<script setup lang="ts">
import { encode } from 'uqr'
import { invitationBody } from '../../../contracts/who'
import type { InvitedAnswer } from '../../../contracts/who'
import { roleWords } from '../../../core/people/roles'
import type { Role } from '../../../core/people/roles'
import { newId } from '../../log/ids'

/** A link for one person: to come in, or to set a new password. It is shown once. */
const props = defineProps<{ person: { id: string; name: string; role: Role; signsIn: boolean } }>()
defineEmits<{ close: [] }>()
const kind = computed(() => (props.person.signsIn ? 'reset' : 'join'))
const days = ref('3')
const mailTo = ref('')
const mailed = ref<boolean | null>(null)
const garage = useGarageStore()
const link = ref('')
const copied = ref('')
const { problems, check } = useChecked(invitationBody)
/** The dark squares of the code, as a path in squares. */
const code = computed(() => {
  const { data, size } = encode(link.value, { border: 2 })
  const squares = data.flatMap((row, y) => row.flatMap((isDark, x) => (isDark ? `M${x} ${y}h1v1h-1z` : [])))
  return { size, path: squares.join('') }
})

const make = () =>
  check(
    {
      id: newId(),
      kind: kind.value,
      role: props.person.role,
      name: props.person.name,
      personId: props.person.id,
      days: Number(days.value),
      ...(mailTo.value.trim() ? { mailTo: mailTo.value.trim() } : {}),
    },
    async body => {
      const { token, mailed: isSent } = await $fetch<InvitedAnswer>('/api/invitations', { method: 'POST', body })
      mailed.value = isSent
      link.value = `${location.origin}/join/${token}`
    },
  )
async function copy() {
  copied.value = await navigator.clipboard.writeText(link.value).then(
    () => 'Copied.',
    () => 'Mark it and copy it by hand.',
  )
}
</script>

<template>
  <BaseDialog
    open
    :title="kind === 'join' ? `Let ${person.name} in` : `A new password for ${person.name}`"
    @close="$emit('close')"
  >
    <form v-if="!link" class="grid gap-4" novalidate @submit.prevent="make">
      <p v-if="kind === 'join'">
        As {{ roleWords[person.role].name.toLowerCase() }}: {{ roleWords[person.role].does }}
      </p>
      <p v-else>All their devices are signed out once the new one is set.</p>
      <Field v-slot="{ control }" id="invite-days" label="The link holds, in days" :problem="problems.days ?? ''"
        ><input v-bind="control" v-model="days" class="mt-1 block max-w-28" inputmode="numeric" maxlength="2"
      /></Field>
      <Field
        v-if="garage.garage!.mails"
        v-slot="{ control }"
        id="invite-mail"
        label="Mail it to, if you like"
        :problem="problems.mailTo ?? ''"
        ><input v-bind="control" v-model="mailTo" class="mt-1" type="email" maxlength="200" autocomplete="off"
      /></Field>
      <p v-if="problems.form || problems.personId" class="text-danger" role="alert">
        {{ problems.personId ?? problems.form }}
      </p>
      <button class="button button-main">Make the link</button>
    </form>
    <div v-else class="grid gap-4">
      <p v-if="mailed === false" class="text-danger" role="alert">
        The mail server did not take it. Give the link by hand.
      </p>
      <p v-else-if="mailed" role="status">It is in the mail.</p>
      <p>It opens once, for {{ days }} days. It is not shown again; whoever has it comes in.</p>
      <svg
        class="mx-auto w-56 bg-white"
        :viewBox="`0 0 ${code.size} ${code.size}`"
        role="img"
        aria-label="The link as a code for a phone’s camera"
        shape-rendering="crispEdges"
      >
        <path :d="code.path" fill="#000" />
      </svg>
      <Field v-slot="{ control }" id="invite-link" label="The link"
        ><input
          v-bind="control"
          :value="link"
          class="figure mt-1"
          readonly
          @focus="($event.target as HTMLInputElement).select()"
      /></Field>
      <p class="flex items-center gap-4">
        <button class="button" @click="copy">Copy</button><span role="status">{{ copied }}</span>
      </p>
    </div>
  </BaseDialog>
</template>
