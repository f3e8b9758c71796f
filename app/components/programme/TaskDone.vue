<script setup lang="ts">
import type { LogEntry } from '~~/core/log'
import type { WorkKind } from '~~/core/programme'
import { taskStep } from '~~/core/programme/tasks/taskStep'
import { wallKey } from '~/sync/device'
import { useOutbox } from '~/sync/useOutbox'

/**
 * Says that a kind of work at a wall is done, where no step of the run of work does: it goes into the wall's log, from
 * the outbox where there is no connection.
 */
const { site, wall, kind, done = false } = defineProps<{
  site: string
  wall: string
  kind: WorkKind
  /** Whether the wall's log says so already. */
  done?: boolean
}>()
const emit = defineEmits<{ done: [] }>()
const session = useSessionStore()
const me = useMe()
const { device, outbox, waiting } = useOutbox()
const says = ref('')
const state = ref<'open' | 'waits' | 'recorded'>('open')
const step = taskStep(kind)
/** Whether it waits on this device; what waited and does no more has been sent. */
async function look() {
  const waits = await device.entries
    .where('key')
    .equals(wallKey(site, wall))
    .filter(({ entry, refused }) => refused === undefined && entry.kind === 'step' && entry.step === step)
    .count()
    .catch(() => 0)
  if (waits > 0) state.value = 'waits'
  else if (state.value === 'waits') {
    state.value = 'recorded'
    emit('done')
  }
}
onMounted(look)
watch(waiting, look)
async function record() {
  const said: LogEntry = {
    id: newId(),
    at: new Date().toISOString(),
    by: me.name.value,
    wall,
    kind: 'step',
    step,
    done: true,
  }
  says.value = ''
  const entry = await outbox.signer.signed(said)
  try {
    await api(`/sites/${site}/walls/${wall}/log`, { method: 'POST', body: entry })
    state.value = 'recorded'
    emit('done')
  }
  catch (error) {
    if (!(error instanceof ApiError) || !error.isOffline) return void (says.value = (error as Error).message)
    // An entry that came through although its answer was lost is the same one, and counts once.
    await outbox.addEntry(site, wall, entry).then(
      () => {
        state.value = 'waits'
      },
      (kept: Error) => {
        says.value = kept.message
      },
    )
  }
}
</script>

<template>
  <span v-if="session.may('wall.record', site)" class="print:hidden">
    <button type="button" class="press !px-2" :disabled="done || state !== 'open'" @click="record">
      {{ done || state !== 'open' ? '✓ Done' : 'Mark done' }}
    </button>
    <span v-if="state === 'waits'" class="text-xs text-ink-soft" role="status"> waiting to be sent</span>
    <span v-if="says" class="field-fault" role="alert">{{ says }}</span>
  </span>
</template>
