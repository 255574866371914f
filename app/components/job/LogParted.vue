<script setup lang="ts">
import { describeEvent } from '../../../core/job'
import { momentText } from '../../words/moments'
import { issuesOf } from '../../words/reason-of'

/** The server went back to an earlier moment, as after a restored backup: what this device holds beyond it, and what becomes of that. */
const SHOWN = 5
const store = useJobStore()
const device = useDeviceStore()
const garage = useGarageStore()
const messages = useMessages()
const t = useTerms()
const events = computed(() => store.beyond.events)
const log = computed(() => [...store.log, ...events.value])
const nameOf = (id: string) => garage.garage!.people.find(person => person.id === id)?.name ?? 'Somebody who left'
const busy = ref(false)
const leaving = ref(false)
const problem = ref('')

async function doing(act: () => Promise<void>, done: string) {
  busy.value = true
  problem.value = ''
  try {
    await act()
    leaving.value = false
    messages.say(done)
  } catch (error) {
    problem.value = issuesOf(error)[0]!.reason
  } finally {
    busy.value = false
  }
}
const send = () => doing(() => device.giveBack(store.jobId), 'Given back to the server.')
const letGo = () => doing(() => device.letGo(store.jobId), 'Left out. The job stands as the server has it.')
</script>

<template>
  <div class="no-print border-b-2 border-danger bg-sheet px-4 py-3 sm:px-7" role="alert" data-testid="log-parted">
    <p v-if="store.beyond.isMissing">
      <span class="label">The server does not know this job any more.</span> Its records were set back to an earlier
      moment. This device holds the whole job, and can give it back.
    </p>
    <template v-else>
      <p>
        <span class="label">The server’s records were set back to an earlier moment.</span> This device holds
        <span class="figure font-bold">{{ events.length }}</span> {{ events.length === 1 ? 'act' : 'acts' }} that they
        have no more. What is shown is the job without {{ events.length === 1 ? 'it' : 'them' }}.
      </p>
      <ul class="mt-1">
        <li v-for="event in events.slice(0, SHOWN)" :key="event.id">
          {{ t(describeEvent(event, log)) }}, {{ nameOf(event.personId) }}, {{ momentText(event.deviceTime) }}
        </li>
        <li v-if="events.length > SHOWN" class="text-quiet">and {{ events.length - SHOWN }} after them</li>
      </ul>
    </template>
    <p v-if="leaving" class="mt-2 font-semibold">
      Left out, {{ events.length === 1 ? 'it is' : 'they are' }} gone from this device, too. That cannot be taken back.
    </p>
    <div class="mt-2 flex flex-wrap gap-2">
      <button class="button button-main" :disabled="busy" @click="send">
        {{ busy ? 'Giving back' : 'Give it to the server' }}
      </button>
      <template v-if="!store.beyond.isMissing">
        <button v-if="!leaving" class="button" :disabled="busy" @click="leaving = true">Leave it out</button>
        <template v-else
          ><button class="button" :disabled="busy" @click="letGo">Leave it out for good</button
          ><button class="button" :disabled="busy" @click="leaving = false">Keep it for now</button></template
        >
      </template>
    </div>
    <p v-if="problem" class="mt-2 text-danger">{{ t(problem) }}</p>
  </div>
</template>
