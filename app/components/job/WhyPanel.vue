<script setup lang="ts">
import { whyHere } from '../../../core/sequence'

/** Why a step stands where it stands: its links, each with its sentence. */
const props = defineProps<{ stepId: string }>()
const { state } = useJob()
const t = useTerms()
const why = computed(() =>
  state.value.procedure && state.value.plan ? whyHere(state.value.procedure, state.value.plan, props.stepId) : null,
)
const done = (stepId: string) => stepId in state.value.done
</script>

<template>
  <div v-if="why" class="grid gap-4" data-testid="why">
    <p>{{ why.placement }}</p>
    <section
      v-for="side in [
        { title: 'Before this', reasons: why.after },
        { title: 'Only after this', reasons: why.before },
      ]"
      :key="side.title"
    >
      <h3 class="border-b border-ink pb-1">{{ side.title }}</h3>
      <p v-if="side.reasons.length === 0" class="py-2 text-quiet">Nothing has to.</p>
      <ul class="ruled">
        <li v-for="reason in side.reasons" :key="reason.stepId + reason.kind" class="py-2">
          <p class="text-sm text-quiet">
            <span class="label text-ink">{{ reason.kind }}</span><template v-if="reason.waitMinutes">
              · wait {{ reason.waitMinutes }} min</template
            >
          </p>
          <p>{{ t(reason.because) }}</p>
          <p class="text-sm text-quiet">
            <span aria-hidden="true">{{ done(reason.stepId) ? '✓ ' : '→ ' }}</span>{{ t(reason.title)
            }}<span v-if="done(reason.stepId)" class="sr-only"> (done)</span>
          </p>
        </li>
      </ul>
    </section>
  </div>
</template>
