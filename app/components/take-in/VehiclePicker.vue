<script setup lang="ts">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import { ChevronDownIcon } from '@heroicons/vue/20/solid'
import type { VehicleAnswer } from '../../../contracts/answers'

const props = defineProps<{ vehicles: VehicleAnswer[] }>()
const emit = defineEmits<{ added: [vehicle: VehicleAnswer, isNew: boolean] }>()
const model = defineModel<string>({ required: true })
const adding = ref(false)
const chosen = computed(() => props.vehicles.find(vehicle => vehicle.id === model.value) ?? null)
const line = (vehicle: VehicleAnswer) => `${vehicle.name}, ${vehicle.year}`

function added(vehicle: VehicleAnswer, isNew: boolean) {
  adding.value = false
  emit('added', vehicle, isNew)
}
</script>

<template>
  <div class="flex flex-wrap items-start gap-3">
    <Listbox v-model="model" as="div" class="relative min-w-64 flex-1">
      <ListboxButton class="button w-full justify-between! text-left" aria-label="Car">
        <span
          >{{ chosen ? line(chosen) : 'Choose a car'
          }}<span v-if="chosen" class="block text-sm font-normal text-quiet">{{ chosen.customer }}</span></span
        >
        <ChevronDownIcon class="size-6" aria-hidden="true" />
      </ListboxButton>
      <ListboxOptions
        class="absolute z-20 mt-1 max-h-80 w-full overflow-y-auto border-2 border-ink bg-paper outline-none"
      >
        <ListboxOption v-for="vehicle in vehicles" :key="vehicle.id" v-slot="{ active, selected }" :value="vehicle.id">
          <div class="cursor-pointer border-b border-rule px-4 py-2" :class="active ? 'bg-tint' : ''">
            <span :class="selected ? 'font-bold' : ''">{{ line(vehicle) }}</span><span class="block text-sm text-quiet"
              >{{ vehicle.make }} {{ vehicle.model }}, {{ vehicle.customer }}</span
            >
          </div>
        </ListboxOption>
        <p v-if="vehicles.length === 0" class="px-4 py-3 text-quiet">No car is known yet. Add the first one.</p>
      </ListboxOptions>
    </Listbox>
    <button type="button" class="button" @click="adding = true">Add a car</button>
    <BaseDialog :open="adding" title="Add a car" @close="adding = false"><VehicleForm @added="added" /></BaseDialog>
  </div>
</template>
