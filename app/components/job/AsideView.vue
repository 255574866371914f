<script setup lang="ts">
import { describeEvent } from '../../../core/job'
import type { AsideRecord, EventPayloads, EventType, JobEvent } from '../../../core/job'
import type { Decided } from '../../../core/job/chapters/renewals'
import { momentText } from '../../words/moments'

/** Acts that did not count when they arrived: who did what and when, why it does not count, and what becomes of it. */
const { store, state } = useJob()
const garage = useGarageStore()
const t = useTerms()
const { problems, allGood } = useProblems()
const { chooseAll } = useOptionSwitch()
const open = computed(() => state.value.aside.filter(record => !record.ended).toReversed())
const ended = computed(() => state.value.aside.filter(record => record.ended).toReversed())
const endings = { settled: 'nothing left to do', 'taken-up': 'done anew', 'put-away': 'put away' } as const
const whoOf = (id: string) => garage.garage!.people.find(person => person.id === id)?.name ?? 'Somebody who left'
const whatOf = ({ act }: AsideRecord) => describeEvent({ ...act, jobId: store.jobId, seq: null } as JobEvent, store.log)

/** Does an act anew. @returns the sentence that says why it still may not be, or `null` */
async function doAnew({ act }: AsideRecord): Promise<string | null> {
  // Another way of doing it is worked out anew, from where the job stands now; what it refuses is said by itself.
  const { options, decided } = act.payload as { options?: Record<string, string>; decided?: Decided }
  if (act.type === 'options-switched' && options)
    return (await chooseAll(options, undefined, decided)) ? null : 'It cannot be done this way now.'
  return store.attempt(act.type as EventType, act.payload as EventPayloads[EventType])
}
/** In the order they were done, since one may need another. */
async function takeUp(records: AsideRecord[]) {
  const refusals: Record<string, string | null> = {}
  for (const record of records) {
    const refusal = (refusals[record.act.id] = await doAnew(record))
    if (refusal === null) store.write('aside-ended', { actId: record.act.id, how: 'taken-up' })
  }
  allGood(refusals)
}
function putAllAway() {
  for (const record of open.value) putAway(record)
}
const putAway = ({ act }: AsideRecord) => store.write('aside-ended', { actId: act.id, how: 'put-away' })
useKeys({ Backspace: store.undo })
</script>

<template>
  <SheetWithMargin margin-title="What this is">
    <h1 class="text-2xl">Set aside</h1>
    <p v-if="state.aside.length === 0" class="mt-3 text-lg">
      Nothing is set aside. Every act that arrived has counted.
    </p>
    <p v-else-if="open.length === 0" class="mt-3 text-lg">Something became of every act that was set aside.</p>
    <div v-if="open.length > 1" class="mt-3 flex flex-wrap gap-2">
      <button class="button" @click="takeUp(open.toReversed())">Take all {{ open.length }} up again</button>
      <button class="button" @click="putAllAway">Put all away</button>
    </div>
    <ul v-if="open.length" class="ruled mt-4 border-y border-rule">
      <li v-for="record in open" :key="record.act.id" class="py-3" :data-testid="`aside-${record.act.id}`">
        <p class="text-lg font-semibold">{{ t(whatOf(record)) }}</p>
        <p>{{ whoOf(record.act.personId) }}, {{ momentText(record.act.deviceTime) }}. {{ t(record.reason) }}</p>
        <p v-if="problems[record.act.id]" class="mt-1 text-danger" role="alert">
          Still not: {{ t(problems[record.act.id]!) }}
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button class="button" @click="takeUp([record])">
            Take it up again<span class="sr-only">: {{ t(whatOf(record)) }}</span>
          </button>
          <button class="button" @click="putAway(record)">
            Put it away<span class="sr-only">: {{ t(whatOf(record)) }}</span>
          </button>
        </div>
      </li>
    </ul>
    <template v-if="ended.length">
      <h2 class="mt-6 text-xl">Settled</h2>
      <ul class="ruled mt-2 border-y border-rule">
        <li v-for="record in ended" :key="record.act.id" class="py-2">
          <span class="font-semibold">{{ t(whatOf(record)) }}</span>, {{ whoOf(record.act.personId) }},
          {{ momentText(record.act.deviceTime) }}: {{ endings[record.ended!.how] }}.
          <span class="text-quiet">{{ t(record.reason) }}</span>
        </li>
      </ul>
    </template>
    <LateActs />
    <template #margin>
      <p>
        Two people who worked without signal may have done the same step, or one of them changed the plan under the
        other. What cannot count any more when it arrives is not thrown away: it stands here, with its reason.
      </p>
      <p class="mt-3">
        Taken up again, it is done anew now, if it may be. Put away, it stays in the log as what it was.
      </p>
    </template>
  </SheetWithMargin>
</template>
