<script setup lang="ts">
/** Where a wrench that speaks is reached. */
defineProps<{ name: string; problem: string; connecting: boolean }>()
const t = useTerms()
const address = defineModel<string>('address', { required: true })
defineEmits<{ connect: []; disconnect: [] }>()
const open = ref(false)
</script>

<template>
  <section class="border-y border-rule py-2" aria-label="Wrench that speaks">
    <div v-if="name" class="flex flex-wrap items-center gap-3">
      <p>
        <span class="label">{{ name }}</span> speaks. Pull; Eldrin reads along.
      </p>
      <button class="button ml-auto" @click="$emit('disconnect')">Go on by feel</button>
    </div>
    <template v-else>
      <button class="min-h-11 font-semibold underline" :aria-expanded="open" @click="open = !open">
        A wrench that speaks
      </button>
      <form v-if="open" class="mt-1 flex flex-wrap items-end gap-3" @submit.prevent="$emit('connect')">
        <div class="min-w-64 flex-1">
          <Field v-slot="{ control }" id="wrench-address" label="Its address"
            ><input v-bind="control" v-model="address" class="figure mt-1" autocomplete="off" spellcheck="false"
          /></Field>
        </div>
        <button class="button button-main" :disabled="connecting">{{ connecting ? 'Calling it' : 'Connect' }}</button>
      </form>
      <p v-if="problem" class="mt-1 text-attention" role="alert">{{ t(problem) }}</p>
    </template>
  </section>
</template>
