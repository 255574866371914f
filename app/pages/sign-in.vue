<script setup lang="ts">
import { signInBody } from '../../contracts/who'
import type { PlacesAnswer } from '../../contracts/who'
import { browserSupportsWebAuthn, startAuthentication, WebAuthnError } from '@simplewebauthn/browser'
import type { PublicKeyCredentialRequestOptionsJSON } from '@simplewebauthn/browser'
import { roleWords } from '../../core/people/roles'
import { deviceId } from '../log/ids'
import { deviceName } from '../words/device-name'
import { issuesOf } from '../words/reason-of'

useHead({ title: 'Sign in · Eldrin' })
const route = useRoute()
const form = reactive({ signIn: '', password: '' })
const places = ref<PlacesAnswer['places']>([])
const busy = ref(false)
const refused = ref('')
const { problems, check } = useChecked(signInBody)
const arrive = useArrival()

const canUseKey = browserSupportsWebAuthn()
const byKey = ref(false)

/** Signs in by a passkey, which the browser finds by itself. */
async function sendKey(garageId?: string) {
  busy.value = true
  byKey.value = true
  refused.value = ''
  try {
    const options = await $fetch<PublicKeyCredentialRequestOptionsJSON>('/api/sign-in/passkey/options', {
      method: 'POST',
    })
    const response = await startAuthentication({ optionsJSON: options })
    const body = { response, deviceId: deviceId(), deviceName: deviceName(), ...(garageId ? { garageId } : {}) }
    const answer = await $fetch<PlacesAnswer | null>('/api/sign-in/passkey', { method: 'POST', body })
    places.value = answer?.places ?? []
    if (!answer) refused.value = await arrive()
  } catch (error) {
    refused.value = error instanceof WebAuthnError ? 'No passkey was used.' : issuesOf(error)[0]!.reason
  }
  busy.value = false
}

async function send(garageId?: string) {
  busy.value = true
  byKey.value = false
  const entry = { ...form, deviceId: deviceId(), deviceName: deviceName(), ...(garageId ? { garageId } : {}) }
  const isIn = await check(entry, async body => {
    const answer = await $fetch<PlacesAnswer | null>('/api/sign-in', { method: 'POST', body })
    places.value = answer?.places ?? []
    return !answer
  })
  busy.value = false
  if (isIn) refused.value = await arrive()
}
</script>

<template>
  <DoorPage title="Sign in">
    <p v-if="route.query.lost !== undefined" class="mt-4 border-l-4 border-attention pl-4" role="status">
      This device was reported lost. What it had kept is gone; the garage’s records are not.
    </p>
    <form class="mt-6 grid gap-5" novalidate @submit.prevent="send()">
      <Field v-slot="{ control }" id="sign-in-name" label="Your name here" :problem="problems.signIn ?? ''"
        ><input
          v-bind="control"
          v-model="form.signIn"
          class="mt-1"
          maxlength="80"
          autocomplete="username"
          autocapitalize="none"
          spellcheck="false"
          autofocus
      /></Field>
      <SecretField
        id="sign-in-password"
        v-model="form.password"
        label="Password"
        :problem="problems.password ?? ''"
        autocomplete="current-password"
      />
      <p v-if="refused" class="text-danger" role="alert">{{ refused }}</p>
      <p v-if="problems.form || problems.tries" class="text-danger" role="alert">
        {{ problems.tries ?? problems.form }}
      </p>
      <button v-if="places.length === 0" class="button button-main button-big" :disabled="busy">Sign in</button>
    </form>
    <button v-if="canUseKey && places.length === 0" class="button mt-3 w-full" :disabled="busy" @click="sendKey()">
      Sign in with a passkey
    </button>
    <section v-if="places.length" class="mt-6" aria-labelledby="places-title">
      <h2 id="places-title" class="text-xl">Which garage?</h2>
      <ul class="ruled mt-2">
        <li v-for="place in places" :key="place.garageId" class="py-2">
          <button
            class="button button-big w-full justify-between!"
            :disabled="busy"
            @click="byKey ? sendKey(place.garageId) : send(place.garageId)"
          >
            {{ place.garage }}<span class="font-normal text-quiet">{{ roleWords[place.role].name }}</span>
          </button>
        </li>
      </ul>
    </section>
    <p class="mt-8 text-quiet">
      No name here yet, or the password forgotten: the owner of the garage makes you a link under Library, Garage.
    </p>
  </DoorPage>
</template>
