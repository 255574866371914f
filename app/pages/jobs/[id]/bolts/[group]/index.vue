<script setup lang="ts">
import { activityComplete } from '../../../../../../core/job'

const { state, path } = useJob()
const { group } = useGroupAsked()
/** Runs of the plan on this board that are not done. */
const runs = computed(() =>
  (state.value.procedure?.operations ?? []).filter(
    ({ id, activity }) => activity?.kind === 'tighten' && activity.group === group.value?.id && !state.value.done[id],
  ),
)
</script>

<template>
  <BoardView v-if="group" :key="group.id" :group="group">
    <h1 class="sr-only">Bolt board</h1>
    <BoardChoice :here="group.id" />
    <NuxtLink
      v-for="operation in runs"
      :key="operation.id"
      :to="path(`bolts/run/${operation.id}`)"
      class="button button-main"
      >{{ activityComplete(state, operation) ? 'Look at the run' : 'To the run' }}</NuxtLink
    >
  </BoardView>
  <NotHere v-else what="board" />
</template>
