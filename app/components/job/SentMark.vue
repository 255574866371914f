<script setup lang="ts">
import { keepsNothing } from '../../log/keep-here'
import { clockText } from '../../words/dates'

/**
 * One mark at a glance: all is sent, what waits and since when, what was set aside, or that this device keeps nothing. Its panel says more.
 * Its width does not follow its words: what lies under a finger stays there while acts are kept and sent.
 */
const { store, state } = useJob()
const open = ref(false)
const since = computed(() => {
  const [first] = store.pending
  return first ? clockText(new Date(first.deviceTime)) : ''
})
const aside = computed(() => state.value.aside.filter(record => !record.ended).length)
const errandsStore = useErrandsStore()
const errands = computed(() => errandsStore.ofJob(store.jobId).length)
const waiting = computed(() => store.pending.length)
const tones = {
  bad: 'border-danger text-danger',
  attention: 'border-attention text-attention',
  quiet: 'border-transparent text-quiet',
}
/** In full, and in as few signs as a phone has room for. */
const mark = computed((): { full: string; more?: string; end?: string; short: string; tone: keyof typeof tones } => {
  if (store.standing === 'sign-in') return { full: 'Sign in, then what waits is sent', short: '↑!', tone: 'bad' }
  if (store.standing === 'outdated') return { full: 'Another Eldrin on the server', short: '↑!', tone: 'bad' }
  if (waiting.value > 0)
    return {
      full: `${waiting.value} waiting`,
      more: ' to be sent',
      end: keepsNothing.value ? ', not kept on this device' : `, since ${since.value}`,
      short: `↑${waiting.value}${keepsNothing.value ? '!' : ''}`,
      tone: keepsNothing.value ? 'bad' : 'attention',
    }
  if (store.keeping > 0) return { full: `${store.keeping} being kept`, short: '…', tone: 'quiet' }
  if (keepsNothing.value) return { full: 'not kept on this device', short: '!', tone: 'bad' }
  if (!store.connected) return { full: 'No word', more: ' from the server', short: '↯', tone: 'attention' }
  return { full: 'All sent', short: '✓', tone: 'quiet' }
})
</script>

<template>
  <div data-sent-mark class="relative flex items-center gap-2 max-sm:ml-auto max-sm:static">
    <button
      class="tag min-h-11 sm:min-w-34"
      :class="tones[mark.tone]"
      :aria-expanded="open"
      data-testid="sent-mark"
      @click="open = !open"
    >
      <span class="figure font-bold sm:hidden" aria-hidden="true">{{ mark.short }}</span>
      <span class="max-sm:sr-only" role="status" :data-testid="waiting > 0 ? 'waits' : undefined"
        >{{ mark.full }}<span class="max-2xl:sr-only">{{ mark.more }}</span
        ><span :class="keepsNothing ? '' : 'max-2xl:sr-only'">{{ mark.end }}</span></span
      >
    </button>
    <span v-if="errands" class="tag border-attention text-attention" data-testid="errand-count"
      >{{ errands }}<span class="max-sm:sr-only">&nbsp;asked for</span></span
    >
    <span v-if="aside" class="tag border-danger text-danger" data-testid="aside-count"
      >{{ aside }}<span class="max-sm:sr-only">&nbsp;set aside</span></span
    >
    <LazySentPanel v-if="open" @close="open = false" />
  </div>
</template>
