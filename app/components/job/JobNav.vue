<script setup lang="ts">
/** The views of a job: words in a row, on a phone at the thumb's end. */
const { state, path } = useJob()
const t = useTerms()
const route = useRoute()
const isHere = (view: string) => route.path === path(view) || route.path.startsWith(path(`${view}/`))
/** What the driver works is called as the layout calls it. */
const views = computed(() => {
  const { control } = state.value.procedure ?? {}
  const worked = control ? { at: 'control', name: control.name } : { at: 'pedal', name: 'Pedal' }
  const own = (name: string) => ({ at: name.toLowerCase(), name })
  return [...['Plan', 'Work', 'Car', 'Bolts', 'Bench'].map(own), worked, own('Prove')]
})
</script>

<template>
  <nav
    class="no-print border-rule bg-sheet max-sm:fixed max-sm:inset-x-0 max-sm:bottom-0 max-sm:z-20 max-sm:border-t-2 sm:border-b"
    aria-label="Views of this job"
  >
    <ul class="mx-auto flex max-w-[90rem] max-sm:justify-between sm:gap-1 sm:px-5">
      <li v-for="{ at, name } in views" :key="at" class="max-sm:flex-1">
        <NuxtLink
          :to="path(at)"
          class="flex h-14 items-center justify-center border-b-4 px-2 font-semibold no-underline sm:px-4"
          :class="isHere(at) ? 'border-action text-action' : 'border-transparent'"
          :aria-current="isHere(at) ? 'page' : undefined"
        >
          {{ t(name) }}
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>
