<script setup lang="ts">
/** A password, which can be looked at while it is typed: thumbs slip. */
defineProps<{ id: string; label: string; problem: string; autocomplete: 'current-password' | 'new-password' }>()
const model = defineModel<string>({ required: true })
const isShown = ref(false)
</script>

<template>
  <Field v-slot="{ control }" :id="id" :label="label" :problem="problem">
    <span class="mt-1 flex gap-2">
      <input
        v-bind="control"
        v-model="model"
        :type="isShown ? 'text' : 'password'"
        maxlength="200"
        :autocomplete="autocomplete"
      />
      <button type="button" class="button shrink-0" :aria-pressed="isShown" @click="isShown = !isShown">
        {{ isShown ? 'Hide' : 'Show' }}<span class="sr-only"> {{ label.toLowerCase() }}</span>
      </button>
    </span>
  </Field>
</template>
