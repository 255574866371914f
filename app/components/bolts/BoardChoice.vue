<script setup lang="ts">
/** Which board is shown: those of the bolts, and those of bodies with loose pieces in them. */
defineProps<{ here: string }>()
const { state, path } = useJob()
const t = useTerms()
const router = useRouter()
const boards = computed(() => [
  ...(state.value.procedure?.bodies ?? []).map(body => ({ at: `pieces/${body.id}`, name: `${t(body.name)}: pieces` })),
  ...(state.value.procedure?.groups ?? []).map(group => ({ at: group.id, name: t(group.name) })),
])
</script>

<template>
  <div class="min-w-52 flex-1 basis-52">
    <Field v-slot="{ control }" id="board-group" label="Board" hide-label
      ><select
        v-bind="control"
        class="font-semibold"
        :value="here"
        @change="router.replace(path(`bolts/${($event.target as HTMLSelectElement).value}`))"
      >
        <option v-for="board in boards" :key="board.at" :value="board.at">{{ board.name }}</option>
      </select></Field
    >
  </div>
</template>
