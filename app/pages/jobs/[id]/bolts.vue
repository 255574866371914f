<script setup lang="ts">
import { activityComplete } from '../../../../core/job'

const { state, next } = useJob()
const t = useTerms()
const route = useRoute()
const router = useRouter()
const groups = computed(() => state.value.procedure?.groups ?? [])
const tightenSteps = computed(() => state.value.procedure?.operations.filter(operation => operation.activity?.kind === 'tighten') ?? [])
const asked = (name: string) => String(route.query[name] ?? '')

/** The step whose run is shown: the one asked for, else the next one in work that is a run, unless a board is asked for. */
const runStep = computed(() => tightenSteps.value.find(operation => operation.id === asked('step'))
  ?? (asked('group') ? null : tightenSteps.value.find(operation => operation.id === next.value?.id)) ?? null)
const stepGroup = computed(() => runStep.value?.activity?.kind === 'tighten' ? groups.value.find(group => group.id === (runStep.value!.activity as { group: string }).group) ?? null : null)
const group = computed(() => groups.value.find(entry => entry.id === asked('group')) ?? groups.value.find(entry => entry.board) ?? groups.value[0] ?? null)
const freeRun = computed(() => asked('run') === 'tighten' || asked('run') === 'loosen' ? asked('run') : null)
const show = (id: string) => router.replace({ query: { group: id } })
</script>

<template>
  <TighteningRun v-if="runStep && stepGroup" :key="runStep.id" :operation="runStep" :group="stepGroup" />
  <TighteningRun v-else-if="group && freeRun" :key="`${group.id} ${freeRun}`" :operation="null" :group="group" :loosens="freeRun === 'loosen'" />
  <BoardView v-else-if="group" :group="group">
    <h1 class="sr-only">Bolt board</h1>
    <div class="min-w-52 flex-1 basis-52">
      <label class="sr-only" for="board-group">Board</label>
      <select id="board-group" class="font-semibold" :value="group.id" @change="show(($event.target as HTMLSelectElement).value)">
        <option v-for="entry in groups" :key="entry.id" :value="entry.id">{{ t(entry.name) }}</option>
      </select>
    </div>
    <template v-for="operation in tightenSteps" :key="operation.id">
      <NuxtLink v-if="!state.done[operation.id] && operation.activity?.kind === 'tighten' && operation.activity.group === group.id" :to="{ query: { step: operation.id } }" class="button button-main">{{ activityComplete(state, operation) ? 'Look at the run' : 'To the run' }}</NuxtLink>
    </template>
  </BoardView>
  <main v-else id="sheet" class="px-4 py-6 sm:px-7"><h1 class="text-xl">This job has no fasteners on record.</h1></main>
</template>
