<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { Cog6ToothIcon } from '@heroicons/vue/24/outline'
import { numberFormats } from '../../../core/units'
import type { NumberFormat } from '../../../core/units'
import type { Theme } from '../../composables/useTheme'

/** The settings themselves, open from the first. */
defineProps<{ compact?: boolean }>()
const store = useGarageStore()
const messages = useMessages()
const route = useRoute()
const working = computed(() => store.garage!.people.find(person => person.id === store.personId)?.name ?? '')
const { theme, choose } = useTheme()
const themes: { id: Theme; label: string }[] = [
  { id: 'auto', label: 'As the device' },
  { id: 'day', label: 'Day' },
  { id: 'night', label: 'Night' },
]

const numberFormatShown: Record<NumberFormat, string> = { point: '1,234.5', comma: '1.234,5' }
interface Entry {
  label: string
  on: boolean
  act: () => void
}
const groups = computed((): { title: string; entries: Entry[] }[] => {
  const garage = store.garage!
  const light = {
    title: 'Light',
    entries: themes.map(({ id, label }) => ({ label, on: theme.value === id, act: () => choose(id) })),
  }
  // Units and words are the garage’s, not one person’s.
  if (!store.can('settle')) return [light]
  const set = (change: Parameters<typeof store.change>[0]) => () => {
    void store
      .change(change)
      .catch(() => messages.say('The server did not answer. The setting stays as it was.', 'refused'))
  }
  return [
    light,
    {
      title: 'Torque first in',
      entries: (['N·m', 'lbf·ft'] as const).map(unit => ({
        label: unit,
        on: garage.units.torque === unit,
        act: set({ torqueUnit: unit }),
      })),
    },
    {
      title: 'Lengths in',
      entries: (['mm', 'in'] as const).map(unit => ({
        label: unit,
        on: garage.units.length === unit,
        act: set({ lengthUnit: unit }),
      })),
    },
    {
      title: 'Distances in',
      entries: (['km', 'mi'] as const).map(unit => ({
        label: unit,
        on: garage.units.distance === unit,
        act: set({ distanceUnit: unit }),
      })),
    },
    {
      title: 'Mass in',
      entries: (['kg', 'lb'] as const).map(unit => ({
        label: unit,
        on: garage.units.mass === unit,
        act: set({ massUnit: unit }),
      })),
    },
    {
      title: 'Fluids in',
      entries: (
        [
          ['ml', 'ml'],
          ['US qt', 'US quarts'],
        ] as const
      ).map(([unit, label]) => ({ label, on: garage.units.volume === unit, act: set({ volumeUnit: unit }) })),
    },
    {
      title: 'Numbers written',
      entries: numberFormats.map(format => ({
        label: numberFormatShown[format],
        on: garage.units.numbers === format,
        act: set({ numberFormat: format }),
      })),
    },
    {
      title: 'Trade words',
      entries: (['us', 'uk'] as const).map(words => ({
        label: words === 'us' ? 'US' : 'UK',
        on: garage.words === words,
        act: set({ words }),
      })),
    },
  ]
})
const button = useTemplateRef('button')
onMounted(() => (button.value?.$el as HTMLElement | undefined)?.click())
</script>

<template>
  <Menu v-if="store.garage" as="div" class="no-print relative">
    <MenuButton ref="button" class="button px-3!" aria-label="Settings"
      ><Cog6ToothIcon class="size-6" :class="compact ? '2xl:hidden' : 'sm:hidden'" aria-hidden="true" /><span
        :class="compact ? 'max-2xl:hidden' : 'max-sm:hidden'"
        >Settings</span
      ></MenuButton
    >
    <MenuItems
      class="absolute right-0 z-40 mt-1 grid max-h-[80dvh] w-72 gap-3 overflow-y-auto border-2 border-ink bg-paper p-4 outline-none"
    >
      <div>
        <p class="text-sm text-quiet">Who is working</p>
        <MenuItem v-slot="{ active }" as="div" class="mt-1">
          <NuxtLink
            class="button w-full justify-between! no-underline"
            :class="active ? 'outline-3 outline-action' : ''"
            :to="{ path: '/who', query: { to: route.fullPath } }"
            >{{ working }}<span class="font-normal text-quiet">change</span></NuxtLink
          >
        </MenuItem>
      </div>
      <div v-for="group in groups" :key="group.title">
        <p class="text-sm text-quiet">{{ group.title }}</p>
        <div class="mt-1 flex flex-wrap gap-2">
          <MenuItem v-for="entry in group.entries" :key="entry.label" v-slot="{ active }" @click="entry.act">
            <button
              class="min-h-11 rounded-soft border-2 px-3"
              :class="[
                entry.on ? 'border-action bg-tint font-semibold' : 'border-line',
                active ? 'outline-3 outline-action' : '',
              ]"
            >
              <span aria-hidden="true">{{ entry.on ? '● ' : '' }}</span>{{ entry.label
              }}<span v-if="entry.on" class="sr-only">, chosen</span>
            </button>
          </MenuItem>
        </div>
      </div>
    </MenuItems>
  </Menu>
</template>
