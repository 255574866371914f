<script setup lang="ts">
import { format } from 'date-fns'

/** What every printed sheet of a job says above: whose car, which job, of what day. */
const { state } = useJob()
const garage = useGarageStore()
const today = format(new Date(), 'd MMMM yyyy')
</script>

<template>
  <header class="hidden border-b-2 border-ink pb-1 print:block" data-testid="print-head">
    <p class="flex justify-between gap-6"><strong>{{ garage.garage?.name }}</strong><span class="figure">Job {{ state.number }} · {{ today }}</span></p>
    <p>{{ state.vehicle?.name }}, {{ state.vehicle?.make }} {{ state.vehicle?.model }}, {{ state.vehicle?.year }} · {{ state.vehicle?.customer }}</p>
  </header>
</template>
