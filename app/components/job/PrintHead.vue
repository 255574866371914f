<script setup lang="ts">
import { nowDate } from '../../device/clock'
import { dateText } from '../../words/dates'

/** What every printed sheet of a job says above: whose car, which job, of what day. */
const { state } = useJob()
const garage = useGarageStore()
const today = dateText(nowDate(), 'long')
</script>

<template>
  <header class="hidden border-b-2 border-ink pb-1 print:block" data-testid="print-head">
    <p class="flex justify-between gap-6">
      <strong>{{ garage.garage?.name }}</strong><span class="figure"
        >{{ state.number ? `Job ${state.number}` : 'New job' }} · {{ today }}</span
      >
    </p>
    <p>
      {{ state.vehicle?.name }}, {{ state.vehicle?.make }} {{ state.vehicle?.model }}, {{ state.vehicle?.year }} ·
      {{ state.vehicle?.customer }}
    </p>
  </header>
</template>
