<script setup lang="ts">
import { plugStand } from '../../../core/job'
import type { PlugStand } from '../../../core/job'
import type { Body, BodyPlug, PlugLock } from '../../../core/packs'

/** The plug that was asked: how it is told from its neighbour, how it opens, and how it stands. */
const props = defineProps<{ body: Body; plug: BodyPlug }>()
const { store, state } = useJob()
const t = useTerms()
const howOff: Record<PlugLock, string> = {
  tab: 'Its tab is pressed, then it is drawn.',
  'false-tab': 'What looks like a tab is none: it is pushed from behind and slid. Pressed, it breaks.',
  press: 'It is held by its fit alone: drawn straight by its body, never by its wires.',
  collar: 'Its collar is twisted until it lets go; only then does the plug move.',
}
const stands: { id: PlugStand; label: string }[] = [
  { id: 'off', label: 'off' },
  { id: 'on', label: 'pushed on' },
  { id: 'tugged', label: 'tugged at' },
]
const stand = computed(() => plugStand(state.value, props.body.id, props.plug.id))
</script>

<template>
  <section class="grid gap-3" aria-live="polite">
    <h2 class="text-lg">{{ t(plug.name) }}</h2>
    <p>
      Wires: <span class="font-semibold">{{ t(plug.wires) }}</span>.
      {{ howOff[plug.lock] }}
    </p>
    <StandRow
      :label="t(plug.name)"
      :stands="stands"
      :stand="stand"
      away="off"
      @set="store.write('plugs-stand', { bodyId: body.id, plugIds: [plug.id], stand: $event })"
    />
  </section>
</template>
