<script setup lang="ts">
import { onKeyStroke } from '@vueuse/core'
import { roleWords, wantsPin } from '../../core/people/roles'
import { issuesOf } from '../words/reason-of'

/** Who is working now, said with gloves on: a name to tap, a PIN where one is wanted. */
useHead({ title: 'Who is working · Eldrin' })
const route = useRoute()
const garage = useGarageStore()
const here = computed(() => (garage.garage?.people ?? []).filter(person => !person.gone))
const asked = ref<(typeof here.value)[number] | null>(null)
const pin = ref('')
const problem = ref('')
const busy = ref(false)
const keys = ['1', '2', '3', '4', '5', '6', '7', '8', '9', '', '0', '⌫']
const device = computed(() => garage.garage?.me?.device)
const isAsked = (person: (typeof here.value)[number]) => !!device.value && wantsPin(person, device.value)

function tap(person: (typeof here.value)[number]) {
  problem.value = ''
  pin.value = ''
  if (person.id === garage.personId) void back()
  else if (isAsked(person)) asked.value = person
  else void choose(person.id)
}
function press(key: string) {
  problem.value = ''
  pin.value = key === '⌫' ? pin.value.slice(0, -1) : (pin.value + key).slice(0, 4)
}
watch(pin, digits => {
  if (digits.length === 4 && asked.value) void choose(asked.value.id, digits)
})
async function choose(id: string, digits?: string) {
  busy.value = true
  try {
    await garage.choosePerson(id, digits)
    // With other eyes, all of it anew.
    if (device.value) location.assign(whereTo())
    else await back()
  } catch (error) {
    pin.value = ''
    problem.value = issuesOf(error)[0]!.reason
  }
  busy.value = false
}
const whereTo = () => {
  const { to } = route.query
  return typeof to === 'string' && /^\/(?!\/)/.test(to) ? to : '/'
}
const back = () => navigateTo(whereTo())
onKeyStroke(
  event => /^\d$|^Backspace$/.test(event.key),
  event => asked.value && press(event.key === 'Backspace' ? '⌫' : event.key),
)
</script>

<template>
  <main id="sheet" tabindex="-1" class="mx-auto max-w-md px-5 py-6 outline-none">
    <h1 class="border-b-4 border-ink pb-2 text-3xl">{{ asked ? asked.name : 'Who is working?' }}</h1>
    <p v-if="problem" class="mt-3 text-lg text-danger" role="alert">{{ problem }}</p>
    <template v-if="asked">
      <p
        class="figure mt-5 flex justify-center gap-5 text-3xl"
        role="status"
        :aria-label="`${pin.length} of four digits`"
      >
        <span v-for="place in 4" :key="place" aria-hidden="true">{{ place <= pin.length ? '●' : '○' }}</span>
      </p>
      <div class="mt-5 grid grid-cols-3 gap-3" role="group" aria-label="PIN">
        <template v-for="(key, place) in keys" :key="place">
          <span v-if="!key" />
          <button
            v-else
            class="button figure min-h-18! text-2xl"
            :disabled="busy"
            :aria-label="key === '⌫' ? 'Take the last digit back' : key"
            @click="press(key)"
          >
            {{ key }}
          </button>
        </template>
      </div>
      <button class="button mt-5 w-full" @click="asked = null">Somebody else</button>
    </template>
    <ul v-else class="mt-4 grid gap-3">
      <li v-for="person in here" :key="person.id">
        <button
          class="flex min-h-18 w-full items-center justify-between gap-4 rounded-soft border-2 px-5 py-3 text-left text-xl"
          :class="person.id === garage.personId ? 'border-action bg-tint font-semibold' : 'border-line bg-sheet'"
          :aria-pressed="person.id === garage.personId"
          :disabled="busy"
          @click="tap(person)"
        >
          <span
            ><span aria-hidden="true" class="figure mr-2">{{ person.id === garage.personId ? '●' : '○' }}</span
            >{{ person.name }}</span
          >
          <span class="shrink-0 text-base font-normal text-quiet">{{
            isAsked(person) ? 'PIN' : roleWords[person.role].name
          }}</span>
        </button>
      </li>
    </ul>
  </main>
</template>
