<script setup lang="ts">
/** The views of a job: words in a row, on a phone at the thumb's end. */
const { path } = useJob()
const route = useRoute()
const isHere = (view: string) => route.path === path(view) || route.path.startsWith(path(`${view}/`))
const views = ['Plan', 'Work', 'Car', 'Bolts', 'Bench', 'Pedal', 'Prove']
</script>

<template>
  <nav
    class="no-print border-rule bg-sheet max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-20 max-sm:border-t-2 sm:border-b"
    aria-label="Views of this job"
  >
    <ul class="mx-auto flex max-w-[90rem] max-sm:justify-between sm:gap-1 sm:px-5">
      <li v-for="view in views" :key="view" class="max-sm:flex-1">
        <NuxtLink
          :to="path(view.toLowerCase())"
          class="flex h-14 items-center justify-center border-b-4 px-2 font-semibold no-underline sm:px-4"
          :class="isHere(view.toLowerCase()) ? 'border-action text-action' : 'border-transparent'"
          :aria-current="isHere(view.toLowerCase()) ? 'page' : undefined"
        >
          {{ view }}
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>
