<script setup lang="ts">
import type { DeviceLine, InvitationLine } from '../../../contracts/who'
import { momentText } from '../../words/moments'
import { issuesOf } from '../../words/reason-of'

/** Devices that are signed in, and links that are out. */
const garage = useGarageStore()
const devices = ref<DeviceLine[] | null>(null)
const links = ref<InvitationLine[]>([])
const problem = ref('')
const lost = ref<DeviceLine | null>(null)

async function load() {
  problem.value = ''
  try {
    devices.value = await $fetch<DeviceLine[]>('/api/devices')
    links.value = garage.can('people') ? await $fetch<InvitationLine[]>('/api/invitations') : []
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
onMounted(load)

async function act(address: string) {
  try {
    await $fetch(address, { method: 'DELETE' })
    lost.value = null
    await load()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
async function ask(asks: 'pin' | 'tag') {
  try {
    await $fetch('/api/session/device', { method: 'PATCH', body: { asks } })
    await Promise.all([load(), garage.load()])
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  }
}
async function signOut() {
  await $fetch('/api/sign-out', { method: 'POST' })
  location.assign('/sign-in')
}
const own = computed(() => garage.garage!.me?.device)
const kinds = { join: 'to come in', reset: 'for a new password', first: 'for the first owner' }
</script>

<template>
  <section aria-labelledby="devices-title">
    <h2 id="devices-title" class="text-xl">Devices</h2>
    <p v-if="problem" class="mt-2 text-danger" role="alert">{{ problem }}</p>
    <p v-if="!devices && !problem" class="mt-2" role="status">Fetching the devices</p>
    <p v-else-if="devices?.length === 0" class="mt-2">
      No device is signed in. The demo lets everybody in on this machine.
    </p>
    <ul v-else class="ruled mt-2 max-w-3xl">
      <li v-for="device in devices" :key="device.id" class="flex flex-wrap items-center justify-between gap-3 py-3">
        <div>
          <p class="font-semibold">
            {{ device.name }}<span v-if="device.own" class="ml-2 font-normal text-quiet">this one</span>
          </p>
          <p class="text-quiet">
            {{ device.person }} works with it. Last word {{ momentText(device.seenAt) }}, signed in
            {{ momentText(device.signedInAt) }}.
          </p>
        </div>
        <div v-if="device.own" class="flex gap-2"><button class="button" @click="signOut">Sign out</button></div>
        <div v-else class="flex gap-2">
          <button class="button" @click="act(`/api/devices/${device.id}`)">
            End<span class="sr-only">: {{ device.name }}</span>
          </button>
          <button class="button" @click="lost = device">
            Lost<span class="sr-only">: {{ device.name }}</span>
          </button>
        </div>
      </li>
    </ul>
    <ChoiceRow
      v-if="own && garage.can('people')"
      class="mt-4"
      label="Who is working, on this device, is said by"
      :choices="[
        { id: 'tag', label: 'a tap on the name' },
        { id: 'pin', label: 'a PIN' },
      ]"
      :model-value="own.asks"
      @update:model-value="value => value && ask(value)"
    />
    <template v-if="links.length">
      <h3 class="mt-6 text-lg">Links that are out</h3>
      <ul class="ruled mt-2 max-w-3xl">
        <li v-for="link in links" :key="link.id" class="flex flex-wrap items-center justify-between gap-3 py-2">
          <span>{{ link.name }}, {{ kinds[link.kind] }}, until {{ momentText(link.expiresAt) }}</span>
          <button class="button" @click="act(`/api/invitations/${link.id}`)">
            Take back<span class="sr-only">: {{ link.name }}</span>
          </button>
        </li>
      </ul>
    </template>
    <BaseDialog :open="!!lost" title="This device is lost" @close="lost = null">
      <p>
        It is signed out now. What it has kept of this garage is thrown away at its next word; what it had not sent is
        gone with it.
      </p>
      <button class="button button-main mt-4" @click="act(`/api/devices/${lost!.id}?lost`)">
        Sign it out and wipe it
      </button>
    </BaseDialog>
  </section>
</template>
