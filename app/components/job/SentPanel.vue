<script setup lang="ts">
import { onClickOutside, onKeyStroke } from '@vueuse/core'
import { describeEvent } from '../../../core/job'
import { keepsNothing } from '../../log/keep-here'
import { momentText } from '../../words/moments'

/** What the mark in the strip stands for: what waits, what was set aside, when this device last heard of the others, and how much room it has. */
const emit = defineEmits<{ close: [] }>()
const root = useTemplateRef('root')
onClickOutside(root, () => emit('close'), { ignore: ['[data-sent-mark]'] })
onKeyStroke('Escape', () => emit('close'))
const { store, state, path } = useJob()
const device = useDeviceStore()
const t = useTerms()
const SHOWN = 6
const errandsStore = useErrandsStore()
const errands = computed(() => errandsStore.ofJob(store.jobId))
const waiting = computed(() => store.pending.toReversed())
const aside = computed(() => state.value.aside.filter(record => !record.ended).length)
/** Another tab may be the one that sends, and has not told yet how it goes. */
const standing = computed(() =>
  waiting.value.length === 0 ? 'sent' : store.standing === 'sent' ? 'sending' : store.standing,
)
const late = computed(() => store.log.filter(event => event.late).length)
const heard = computed(() => device.heardAt.get(store.jobId))
const room = ref('')
const MEGABYTE = 1e6
const inWords = (bytes: number) =>
  bytes < 1000 * MEGABYTE
    ? `${Math.max(1, Math.round(bytes / MEGABYTE))} MB`
    : `${(bytes / MEGABYTE / 1000).toFixed(1)} GB`
onMounted(async () => {
  const { usage, quota } = (await navigator.storage?.estimate?.().catch(() => undefined)) ?? {}
  if (usage === undefined || !quota) return
  const stays = await navigator.storage.persisted?.().catch(() => false)
  room.value = `${inWords(usage)} kept here, room for ${inWords(quota)}.${
    stays
      ? ' The browser does not clear it away.'
      : ' When the phone runs out of room, the browser may clear away what is sent.'
  }`
})
const standings = {
  sent: 'Everything done here is in the log.',
  sending: 'It is on its way.',
  offline: 'The server does not answer. It is tried again by itself.',
  'sign-in': 'Somebody has to sign in; then it is sent.',
  outdated: 'The server has another Eldrin than this page; it is sent when both have the same.',
  refused: 'The server does not take this car in; what is done on it waits.',
} as const
</script>

<template>
  <section
    ref="root"
    class="absolute right-0 top-full z-30 mt-1 w-[min(26rem,calc(100vw-2rem))] border-2 border-ink bg-paper p-4 max-sm:right-4"
    aria-label="What is sent"
    data-testid="sent-panel"
  >
    <p v-if="keepsNothing" class="mb-3 text-danger">{{ keepsNothing }}</p>
    <p class="text-lg font-semibold">{{ standings[standing] }}</p>
    <template v-if="waiting.length">
      <h2 class="label mt-3">Waiting, newest first</h2>
      <ul class="ruled mt-1">
        <li v-for="act in waiting.slice(0, SHOWN)" :key="act.id" class="flex justify-between gap-3 py-1">
          <span>{{ t(describeEvent(act, store.log)) }}</span><span class="figure shrink-0 text-quiet">{{
            momentText(act.deviceTime)
          }}</span>
        </li>
      </ul>
      <p v-if="waiting.length > SHOWN" class="text-quiet">and {{ waiting.length - SHOWN }} before them</p>
    </template>
    <template v-if="errands.length">
      <h2 class="label mt-3">The server alone can do it</h2>
      <ErrandList :errands="errands" />
    </template>
    <p class="mt-3">
      <NuxtLink
        v-if="state.aside.length"
        :to="path('aside')"
        class="font-semibold underline"
        data-testid="aside"
        @click="$emit('close')"
        >{{ aside }} set aside</NuxtLink
      ><span v-else>Nothing was set aside.</span>
    </p>
    <p v-if="late" class="mt-1">
      <NuxtLink :to="path('aside')" class="font-semibold underline" data-testid="late" @click="$emit('close')"
        >{{ late }} arrived after their doer had left</NuxtLink
      >
    </p>
    <p class="mt-3 text-quiet">
      {{
        heard ? `Last word of the others ${momentText(heard)}.` : 'No word of the others since this page was opened.'
      }}
    </p>
    <p v-if="room" class="text-quiet">{{ room }}</p>
  </section>
</template>
