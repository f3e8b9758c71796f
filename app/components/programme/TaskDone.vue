<script setup lang="ts">
import type { WorkKind } from '~~/core/programme'
import { TASK_STEP } from '~~/core/programme/taskStep'

/** Says that a kind of work at a wall is done, where no step of the run of work does: it goes into the wall's log. */
const { site, wall, kind } = defineProps<{ site: string, wall: string, kind: WorkKind }>()
const emit = defineEmits<{ done: [] }>()
const session = useSessionStore()
const me = useMe()
const says = ref('')
const recorded = ref(false)
async function record() {
  try {
    await api(`/sites/${site}/walls/${wall}/log`, { method: 'POST', body: { id: newId(), at: new Date().toISOString(), by: me.name.value, wall, kind: 'step', step: `${TASK_STEP}${kind}`, done: true } })
    recorded.value = true
    says.value = ''
    emit('done')
  }
  catch (error) {
    says.value = (error as Error).message
  }
}
</script>

<template>
  <span v-if="session.may('wall.record', site)" class="print:hidden">
    <button type="button" class="press !px-2" :disabled="recorded" @click="record">
      {{ recorded ? '✓ Done' : 'It is done' }}
    </button>
    <span v-if="says" class="field-fault" role="alert">{{ says }}</span>
  </span>
</template>
