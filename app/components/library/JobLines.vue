<script setup lang="ts">
import type { JobSummary } from '../../../core/job'
import { momentText } from '../../words/moments'

/** Jobs as lines, each with a word of why it is in the list. */
defineProps<{ jobs: { summary: JobSummary; snippet?: string }[] }>()
const t = useTerms()
const words = {
  planned: 'planned',
  'in-work': 'in work',
  waiting: 'waits',
  ready: 'to be handed over',
  'break-in': 'breaking in',
  closed: 'closed',
} as const
const viewOf = (status: JobSummary['status']) =>
  status === 'closed' ? 'handover' : status === 'break-in' || status === 'ready' ? 'prove' : 'work'
</script>

<template>
  <ol class="ruled">
    <li v-for="{ summary, snippet } in jobs" :key="summary.jobId" class="py-2.5">
      <NuxtLink
        class="flex min-h-11 flex-wrap items-center gap-x-4"
        :to="`/jobs/${summary.jobId}/${viewOf(summary.status)}`"
        ><span class="text-lg font-semibold underline"
          ><span class="figure mr-2 text-quiet">{{ summary.number }}</span
          >{{ summary.vehicleName }}</span
        ><span class="text-quiet"
          >{{ summary.customer }}, {{ words[summary.status]
          }}<template v-if="summary.cause">, {{ summary.cause.toLowerCase() }}</template
          ><template v-if="summary.comebackOf"
            >, <span class="font-semibold text-attention">came back for job {{ summary.comebackOf }}</span></template
          ><template v-if="summary.lastAt">, last touched {{ momentText(summary.lastAt) }}</template></span
        ></NuxtLink
      >
      <p v-if="snippet" class="text-quiet">{{ t(snippet.replace(/\s+/g, ' ')) }}</p>
    </li>
  </ol>
</template>
