<script setup lang="ts">
import { parseISO } from 'date-fns'
import { paperInForce } from '../../../core/job'
import type { IssuedKind } from '../../../core/job'
import { paperTitles } from '../../../core/formats/papers'
import { deviceId, newId } from '../../log/ids'
import { issuesOf } from '../../words/reason-of'
import { dateText } from '../../words/dates'

/** Papers of one kind that left the house, and the way to send one out: numbered, dated, and the same for ever. */
const props = defineProps<{ kind: IssuedKind }>()
const t = useTerms()
const { store, state, path } = useJob()
const garage = useGarageStore()
const issued = computed(() => state.value.issuedPapers.filter(paper => paper.kind === props.kind))
const inForce = computed(() => paperInForce(state.value, props.kind))
const replacedBy = (paperId: string) => issued.value.find(paper => paper.corrects === paperId)
const errands = useErrandsStore()
const papersPath = computed(() => `/api/jobs/${store.jobId}/papers`)
const isWanted = computed(() =>
  errands.ofJob(store.jobId).some(({ path, body }) => path === papersPath.value && body.kind === props.kind),
)
const asked = ref(false)
const issuing = ref(false)
const problem = ref('')
let id = newId()
async function issue() {
  issuing.value = true
  problem.value = ''
  try {
    const answer = await errands.ask({
      id,
      jobId: store.jobId,
      what: `Issue the ${paperTitles[props.kind].toLowerCase()}`,
      path: papersPath.value,
      body: {
        id,
        kind: props.kind,
        corrects: inForce.value?.paperId ?? null,
        personId: garage.personId,
        deviceId: deviceId(),
        at: new Date().toISOString(),
      },
    })
    id = newId()
    asked.value = false
    if (answer) await store.refresh()
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  } finally {
    issuing.value = false
  }
}
</script>

<template>
  <div>
    <ul v-if="issued.length" class="mt-2">
      <li v-for="paper in issued" :key="paper.paperId" class="flex flex-wrap items-center gap-x-3">
        <span :class="replacedBy(paper.paperId) ? 'text-quiet line-through' : 'font-semibold'"
          >{{ paperTitles[kind] }} <span class="figure">{{ paper.number }}</span>,
          {{ dateText(parseISO(paper.issuedOn)) }}</span
        >
        <span v-if="replacedBy(paper.paperId)" class="text-quiet"
          >in its place {{ replacedBy(paper.paperId)!.number }}</span
        >
        <NuxtLink
          class="flex min-h-11 items-center underline"
          :to="{ path: path(`papers/${kind}`), query: { issued: paper.paperId } }"
          :aria-label="`Look at ${paperTitles[kind]} ${paper.number}`"
          >Look</NuxtLink
        >
        <a
          class="flex min-h-11 items-center underline"
          :href="`/api/jobs/${store.jobId}/papers/issued/${paper.paperId}?as=pdf`"
          target="_blank"
          :aria-label="`${paperTitles[kind]} ${paper.number} as PDF`"
          >PDF</a
        >
      </li>
    </ul>
    <p v-if="isWanted" class="mt-2 font-semibold text-attention">
      Waits for signal: it gets its number from the server.
    </p>
    <button v-else-if="!asked" class="button mt-2" @click="asked = true">
      {{ inForce ? `Issue a new one in place of ${inForce.number}` : 'Issue it'
      }}<span class="sr-only">: {{ paperTitles[kind] }}</span>
    </button>
    <div
      v-else
      class="mt-2 border-l-4 border-attention pl-3"
      role="group"
      :aria-label="`Issue the ${paperTitles[kind].toLowerCase()}`"
    >
      <p>It gets its number and stays as it is now. It cannot be taken back, only replaced.</p>
      <p class="mt-2 flex flex-wrap gap-2">
        <button class="button button-main" :disabled="issuing" @click="issue">
          {{ issuing ? 'Issuing' : 'Issue it now' }}</button><button
          class="button"
          :disabled="issuing"
          @click="asked = false"
        >
          Not yet
        </button>
      </p>
    </div>
    <p class="text-danger" role="alert">{{ t(problem) }}</p>
  </div>
</template>
