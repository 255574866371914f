<script setup lang="ts">
import type { JoinAnswer } from '../../../contracts/who'
import { joinBody } from '../../../contracts/who'
import { roleWords } from '../../../core/people/roles'
import { deviceId } from '../../log/ids'
import { deviceName } from '../../words/device-name'
import { issuesOf } from '../../words/reason-of'

/** Where an invitation leads: somebody new, the first owner, or a new password. */
const token = String(useRoute().params.token)
const invitation = shallowRef<JoinAnswer | null>(null)
const gone = ref('')
const busy = ref(false)
const refused = ref('')
const form = reactive({ name: '', signIn: '', password: '', garage: '', town: '' })
const { problems, check } = useChecked(joinBody)
const arrive = useArrival()
const titles = { join: 'Come in', reset: 'A new password', first: 'The first one here' }
const title = computed(() => (invitation.value ? titles[invitation.value.kind] : 'Invitation'))
useHead({ title: () => `${title.value} · Eldrin`, meta: [{ name: 'robots', content: 'noindex' }] })

async function load() {
  gone.value = ''
  try {
    invitation.value = await $fetch<JoinAnswer>(`/api/joins/${token}`)
    form.name = invitation.value.name
  } catch (error) {
    gone.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)

async function send() {
  const { kind } = invitation.value!
  busy.value = true
  const isIn = await check(
    {
      signIn: form.signIn,
      password: form.password,
      deviceId: deviceId(),
      deviceName: deviceName(),
      ...(kind === 'reset' ? {} : { name: form.name }),
      ...(kind === 'first' ? { garage: { name: form.garage, town: form.town } } : {}),
    },
    body => $fetch(`/api/joins/${token}`, { method: 'POST', body }).then(() => true),
  )
  busy.value = false
  if (isIn) refused.value = await arrive()
}
</script>

<template>
  <DoorPage :title="title">
    <div v-if="gone" class="mt-4" role="alert">
      <p class="text-lg">{{ gone }}</p>
      <button class="button mt-4" @click="load">Try again</button>
    </div>
    <p v-else-if="!invitation" class="mt-4" role="status">Looking at the invitation</p>
    <form v-else class="mt-6 grid gap-5" novalidate @submit.prevent="send">
      <p v-if="invitation.kind === 'join'" class="text-lg">
        {{ invitation.garage }} lets you in as <strong>{{ roleWords[invitation.role].name.toLowerCase() }}</strong>.
        {{ roleWords[invitation.role].does }}
      </p>
      <p v-else-if="invitation.kind === 'first'" class="text-lg">
        You own this Eldrin from now on: its jobs, its money, and who else comes in.
      </p>
      <template v-if="invitation.kind === 'first'">
        <Field v-slot="{ control }" id="join-garage" label="What the garage is called" :problem="problems.garage ?? ''"
          ><input v-bind="control" v-model="form.garage" class="mt-1" maxlength="80" autocomplete="organization"
        /></Field>
        <Field v-slot="{ control }" id="join-town" label="Town"
          ><input v-bind="control" v-model="form.town" class="mt-1" maxlength="80" autocomplete="address-level2"
        /></Field>
      </template>
      <Field
        v-if="invitation.kind !== 'reset'"
        v-slot="{ control }"
        id="join-name"
        label="Your name, as it signs the work"
        :problem="problems.name ?? ''"
        ><input v-bind="control" v-model="form.name" class="mt-1" maxlength="80" autocomplete="name"
      /></Field>
      <div>
        <Field
          v-slot="{ control }"
          id="join-sign-in"
          :label="invitation.kind === 'reset' ? 'The name you sign in by' : 'A short name to sign in by'"
          :problem="problems.signIn ?? ''"
          ><input
            v-bind="control"
            v-model="form.signIn"
            class="mt-1"
            maxlength="80"
            autocomplete="username"
            autocapitalize="none"
            spellcheck="false"
        /></Field>
        <p v-if="invitation.kind === 'join'" class="mt-1 text-quiet">
          Who works in another garage with Eldrin already takes the same name and password.
        </p>
      </div>
      <div>
        <SecretField
          id="join-password"
          v-model="form.password"
          label="Password"
          :problem="problems.password ?? ''"
          autocomplete="new-password"
        />
        <p class="mt-1 text-quiet">Ten characters at least. A few words in a row are good.</p>
      </div>
      <p v-if="refused" class="text-danger" role="alert">{{ refused }}</p>
      <p v-if="problems.form || problems.tries || problems.token" class="text-danger" role="alert">
        {{ problems.tries ?? problems.token ?? problems.form }}
      </p>
      <button class="button button-main button-big" :disabled="busy">
        {{ invitation.kind === 'reset' ? 'Take this password' : 'Come in' }}
      </button>
    </form>
  </DoorPage>
</template>
