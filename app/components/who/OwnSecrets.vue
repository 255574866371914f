<script setup lang="ts">
import { passwordBody, pinBody } from '../../../contracts/who'

/** A PIN for the garage’s devices, and the password of who signed this one in. */
const garage = useGarageStore()
const me = computed(() => garage.garage!.people.find(person => person.id === garage.personId)!)
const pin = ref('')
const words = reactive({ old: '', fresh: '' })
const pinCheck = useChecked(pinBody)
const wordCheck = useChecked(passwordBody)
const said = ref('')

async function keepPin(next: string | null) {
  said.value = ''
  const isKept = await pinCheck.check({ pin: next }, async body => {
    await $fetch('/api/session/pin', { method: 'PUT', body })
    await garage.load()
  })
  if (isKept) [pin.value, said.value] = ['', next === null ? 'No PIN any more.' : 'The PIN is kept.']
}
async function keepPassword() {
  said.value = ''
  const isKept = await wordCheck.check({ ...words }, body =>
    $fetch('/api/session/password', { method: 'PUT', body }).then(() => true),
  )
  if (isKept) {
    Object.assign(words, { old: '', fresh: '' })
    said.value = 'The password is kept. Your other devices are signed out.'
  }
}
</script>

<template>
  <section aria-labelledby="own-title">
    <h2 id="own-title" class="text-xl">{{ me.name }}</h2>
    <p role="status" class="mt-1">{{ said }}</p>
    <form class="mt-2 flex max-w-xl flex-wrap items-end gap-3" novalidate @submit.prevent="keepPin(pin)">
      <Field
        v-slot="{ control }"
        id="own-pin"
        :label="me.hasPin ? 'Another PIN, four digits' : 'A PIN, four digits'"
        :problem="pinCheck.problems.value.pin ?? pinCheck.problems.value.form ?? ''"
        ><input
          v-bind="control"
          v-model="pin"
          class="figure mt-1 block max-w-36"
          type="password"
          inputmode="numeric"
          maxlength="4"
          autocomplete="off"
      /></Field>
      <button class="button">Keep this PIN</button>
      <button v-if="me.hasPin" type="button" class="button" @click="keepPin(null)">No PIN</button>
    </form>
    <form v-if="me.signsIn" class="mt-5 grid max-w-xl gap-4" novalidate @submit.prevent="keepPassword">
      <SecretField
        id="own-old"
        v-model="words.old"
        label="Password until now"
        :problem="wordCheck.problems.value.old ?? ''"
        autocomplete="current-password"
      />
      <SecretField
        id="own-fresh"
        v-model="words.fresh"
        label="New password"
        :problem="
          wordCheck.problems.value.fresh ?? wordCheck.problems.value.tries ?? wordCheck.problems.value.form ?? ''
        "
        autocomplete="new-password"
      />
      <p><button class="button">Keep this password</button></p>
    </form>
    <OwnPasskeys v-if="me.signsIn && garage.garage!.me.device" class="mt-6" />
  </section>
</template>
