<script setup lang="ts">
import { browserSupportsWebAuthn, startRegistration, WebAuthnError } from '@simplewebauthn/browser'
import type { PublicKeyCredentialCreationOptionsJSON } from '@simplewebauthn/browser'
import { passkeyOptionsBody } from '../../../contracts/who'
import type { PasskeyLine } from '../../../contracts/who'
import { dayText } from '../../words/dates'
import { deviceName } from '../../words/device-name'
import { issuesOf } from '../../words/reason-of'

/** Passkeys: a finger or a face in place of the password. */
const keys = ref<PasskeyLine[]>([])
const said = ref('')
const problem = ref('')
const password = ref('')
const { problems, check } = useChecked(passkeyOptionsBody)
const can = browserSupportsWebAuthn()

async function load() {
  try {
    keys.value = await $fetch<PasskeyLine[]>('/api/passkeys')
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)
async function add() {
  said.value = problem.value = ''
  const isMade = await check({ password: password.value }, async body => {
    const optionsJSON = await $fetch<PublicKeyCredentialCreationOptionsJSON>('/api/passkeys/options', {
      method: 'POST',
      body,
    })
    try {
      const response = await startRegistration({ optionsJSON })
      await $fetch('/api/passkeys', { method: 'POST', body: { name: deviceName(), response } })
    } catch (error) {
      if (!(error instanceof WebAuthnError)) throw error
      problem.value = 'No passkey was made.'
      return false
    }
    return true
  })
  if (!isMade) return
  password.value = ''
  said.value = 'The passkey is kept. Sign in with it next time.'
  await load()
}
async function drop(key: PasskeyLine) {
  said.value = problem.value = ''
  try {
    await $fetch(`/api/passkeys/${encodeURIComponent(key.id)}`, { method: 'DELETE' })
    await load()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
</script>

<template>
  <section aria-labelledby="passkeys-title">
    <h3 id="passkeys-title" class="text-lg">Passkeys</h3>
    <p class="mt-1 text-quiet">A finger or a face in place of the password, on this device or a key of yours.</p>
    <p role="status" class="mt-1">{{ said }}</p>
    <p v-if="problem" class="text-danger" role="alert">{{ problem }}</p>
    <ul v-if="keys.length" class="ruled mt-2 max-w-xl">
      <li v-for="key in keys" :key="key.id" class="flex items-center justify-between gap-3 py-2">
        <span>{{ key.name }}, made {{ dayText(new Date(key.createdAt), 'long') }}</span>
        <button class="button" @click="drop(key)">
          Take away<span class="sr-only">: {{ key.name }}</span>
        </button>
      </li>
    </ul>
    <form v-if="can" class="mt-3 grid max-w-xl gap-4" novalidate @submit.prevent="add">
      <SecretField
        id="passkey-password"
        v-model="password"
        label="Your password, once more"
        :problem="problems.password ?? problems.tries ?? problems.form ?? ''"
        autocomplete="current-password"
      />
      <p><button class="button">Make a passkey</button></p>
    </form>
    <p v-else class="mt-2">This browser makes none here: it wants an address with a lock in front.</p>
  </section>
</template>
