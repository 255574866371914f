<script setup lang="ts">
/** Ends a job that will not be done: taken in by mistake, or the customer wants the car back as it is. */
const { store, state } = useJob()
const asking = ref(false)
const reason = ref('')

function submit() {
  if (reason.value.trim() && store.write('called-off', { reason: reason.value.trim() })) asking.value = false
}
</script>

<template>
  <div v-if="state.calledOff" class="grid gap-3">
    <p><span class="label">Called off.</span> {{ state.calledOff.reason }}</p>
    <button class="button" @click="store.undo">Undo</button>
  </div>
  <div v-else>
    <button class="min-h-11 font-semibold underline" @click="asking = true">Call this job off</button>
    <BaseDialog :open="asking" title="Call this job off" @close="asking = false">
      <form class="grid gap-4" @submit.prevent="submit">
        <p>
          The work ends here and the job leaves the Yard. What is still off the car needs its reason first. The log
          stays, and this can be undone.
        </p>
        <Field v-slot="{ control }" id="call-off-reason" label="Why"
          ><input v-bind="control" v-model="reason" class="mt-1" maxlength="300"
        /></Field>
        <button class="button button-main button-big" :disabled="!reason.trim()">Call it off</button>
      </form>
    </BaseDialog>
  </div>
</template>
