<script setup lang="ts">
import { activityComplete } from '../../../../../../core/job'

const { state, path } = useJob()
const t = useTerms()
const router = useRouter()
const { group, groups } = useGroupAsked()
/** Runs of the plan on this board that are not done. */
const runs = computed(() =>
  (state.value.procedure?.operations ?? []).filter(
    ({ id, activity }) => activity?.kind === 'tighten' && activity.group === group.value?.id && !state.value.done[id],
  ),
)
const show = (id: string) => router.replace(path(`bolts/${id}`))
</script>

<template>
  <BoardView v-if="group" :key="group.id" :group="group">
    <h1 class="sr-only">Bolt board</h1>
    <div class="min-w-52 flex-1 basis-52">
      <Field v-slot="{ control }" id="board-group" label="Board" hide-label
        ><select
          v-bind="control"
          class="font-semibold"
          :value="group.id"
          @change="show(($event.target as HTMLSelectElement).value)"
        >
          <option v-for="entry in groups" :key="entry.id" :value="entry.id">{{ t(entry.name) }}</option>
        </select></Field
      >
    </div>
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
