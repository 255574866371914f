<script setup lang="ts">
const { state } = useJob()
const route = useRoute()
const body = computed(() => state.value.procedure?.bodies?.find(entry => entry.id === route.params.body) ?? null)
</script>

<template>
  <PieceBoard v-if="body" :key="body.id" :body="body"
    ><h1 class="sr-only">Piece board</h1>
    <BoardChoice :here="`pieces/${body.id}`"
  /></PieceBoard>
  <NotHere v-else what="board" />
</template>
