<script setup lang="ts">
import { restEnd } from '../../../core/job/views/bleed-stage'

/** Rings when a rest of this job is over. Shows nothing. */
const { state } = useJob()
useRestBell(
  computed(() =>
    Object.entries(state.value.bleeding).flatMap(([stepId, bleeding]) => {
      const until = state.value.done[stepId] ? null : restEnd(bleeding)
      return until
        ? [
            {
              key: `${state.value.jobId} ${stepId}`,
              until,
              what: `The rest is over: judge the pedal of the ${state.value.vehicle?.name ?? 'car'}.`,
            },
          ]
        : []
    }),
  ),
)
</script>

<template>
  <span hidden data-testid="rest-bell" />
</template>
