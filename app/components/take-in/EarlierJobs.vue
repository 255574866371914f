<script setup lang="ts">
import { fetchKept } from '../../device/fetch-kept'
import type { VehicleHistory } from '../../../contracts/answers'
import type { JobSummary } from '../../../core/job'
import { momentText } from '../../words/moments'

/** Earlier jobs of the car, and whether it comes back for one of them. */
const props = defineProps<{ vehicleId: string }>()
const model = defineModel<string>({ required: true })
const jobs = shallowRef<JobSummary[]>([])
onMounted(async () => {
  model.value = ''
  // The take-in goes on without it.
  jobs.value = await fetchKept<VehicleHistory>(`/api/vehicles/${props.vehicleId}`)
    .then(history => history.jobs.filter(job => job.status === 'closed' || job.status === 'break-in'))
    .catch(() => [])
})
</script>

<template>
  <div v-if="jobs.length">
    <ChoiceRow
      :model-value="model || 'no'"
      label="This car was here before. Does it come back for that?"
      :choices="[
        { id: 'no', label: 'no, something new' },
        ...jobs.slice(0, 4).map(job => ({
          id: job.jobId,
          label: `for job ${job.number}${job.cause ? `, ${job.cause.toLowerCase()}` : ''}`,
          ...(job.lastAt ? { note: momentText(job.lastAt) } : {}),
        })),
      ]"
      @update:model-value="
        id => {
          model = id === 'no' ? '' : id!
        }
      "
    />
  </div>
</template>
