<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { setClockRight } from './device/clock'
import { keepBasics } from './device/keep-basics'
import { newVersionWaits, openShell } from './device/shell'
import { versionGap } from './device/version-gap'
import { keepsNothing } from './log/keep-here'

const garage = useGarageStore()
/** The first view stands by then. */
const QUIET_AFTER_MS = 2_500
const seen = ref(false)
useFocusKept()
const route = useRoute()
/** Pages that are no garage’s: a customer’s, and the door. */
const isOutside = computed(() => /^\/(?:s\/|join\/|sign-in)/.test(route.path))
// Who has nothing here to look at goes to the door; who has goes on, and is told.
watch(
  () => garage.signedOut && !garage.garage && !isOutside.value,
  isShutOut => isShutOut && navigateTo({ path: '/sign-in', query: { to: route.fullPath } }),
  { immediate: true },
)
const { currentRoute } = useRouter()
/** What is not for who works here now. By the router: a page that is not shown never ends its arrival, by which a page's route is told. */
const isNotForThem = computed(() => {
  const { wants } = currentRoute.value.meta
  return !!garage.garage && wants !== undefined && !garage.can(wants)
})
if (!isOutside.value) {
  void garage.load()
  setTimeout(() => void setClockRight(), QUIET_AFTER_MS)
  // Whoever had no signal may have set the clock meanwhile.
  useEventListener(window, 'online', () => void setClockRight())
  openShell()
  keepBasics()
}
</script>

<template>
  <div>
    <a href="#sheet" class="sr-only focus:not-sr-only">To the sheet</a>
    <NuxtRouteAnnouncer />
    <p
      v-if="keepsNothing && !seen"
      class="no-print flex items-start justify-between gap-4 border-b-2 border-attention bg-sheet px-4 py-2"
      role="status"
    >
      <span>{{ keepsNothing }}</span><button class="button shrink-0" @click="seen = true">I see</button>
    </p>
    <LazyNewVersion v-if="newVersionWaits || versionGap" />
    <LazySignedOut v-if="garage.signedOut && garage.garage && !isOutside" />
    <div v-if="garage.problem && !isOutside" class="mx-auto max-w-2xl p-8" role="alert">
      <h1 class="text-2xl">Eldrin cannot reach its server</h1>
      <p class="mt-3">{{ garage.problem }} Nothing was lost. Check that the server runs, then try again.</p>
      <button class="button button-main mt-6" @click="garage.load()">Try again</button>
    </div>
    <LazyNotForYou v-else-if="isNotForThem" />
    <NuxtPage v-else />
    <Messages />
  </div>
</template>
