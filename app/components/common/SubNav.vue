<script setup lang="ts">
/** The views inside a view, in a row; on a phone it is pushed aside where there are many. Which one is shown is said by the address. */
const props = defineProps<{ label: string; links: { to: string; name: string; sign?: string }[]; wrap?: boolean }>()
const route = useRoute()
const here = computed(() => route.path.replace(/\/$/, '') || '/')
const isHere = (to: string) => here.value === to
const row = computed(() =>
  props.wrap ? 'flex-wrap' : 'max-sm:overflow-x-auto max-sm:pb-2 max-sm:whitespace-nowrap sm:flex-wrap',
)
</script>

<template>
  <nav :aria-label="label" class="mb-3 max-lg:clear-both">
    <ul class="flex gap-1.5 sm:gap-2" :class="row">
      <li v-for="link in links" :key="link.to">
        <NuxtLink
          class="button max-sm:px-2.5!"
          :class="isHere(link.to) ? 'border-action! bg-tint!' : ''"
          :aria-current="isHere(link.to) ? 'page' : undefined"
          :to="link.to"
        >
          <span v-if="link.sign" class="figure" aria-hidden="true">{{ link.sign }}</span>{{ link.name }}
        </NuxtLink>
      </li>
    </ul>
  </nav>
</template>
