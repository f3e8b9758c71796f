<script setup lang="ts">
import type { Aside } from '~~/core/api/walls'
import { LOG_KINDS, RESULT_NAMES } from '~~/core/log'

/**
 * Entries that were made when their author had lost the right to: a planner takes them into the log, or declines them.
 */
const waiting = ref<Aside[]>([])
const fault = ref('')
async function ask(path: string, init?: { method: string, body: unknown }) {
  try {
    waiting.value = await api<Aside[]>(path, init)
    fault.value = ''
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}
await ask('/set-aside')
const decide = (key: number, accept: boolean) => ask(`/set-aside/${key}`, { method: 'POST', body: { accept } })
const what = ({ entry }: Aside) =>
  [
    LOG_KINDS[entry.kind].title,
    ...('hole' in entry ? [entry.hole, ...('result' in entry ? [RESULT_NAMES[entry.result]] : [])] : []),
    ...('note' in entry && entry.note ? [`“${entry.note}”`] : []),
  ].join(' ')
</script>

<template>
  <section
    v-if="waiting.length || fault"
    class="border-l-4 border-caution bg-caution-wash px-3 py-2"
    aria-labelledby="aside"
    data-testid="set-aside-list"
  >
    <h2 id="aside" class="font-semibold">
      {{ waiting.length === 1 ? '1 entry is waiting' : `${waiting.length} entries are waiting` }} for a planner’s
      approval
    </h2>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="aside in waiting" :key="aside.key" class="flex flex-wrap items-center gap-3 py-2">
        <span class="min-w-0 flex-1">{{ aside.entry.by }}, {{ whenOf(aside.entry.at) }}, {{ aside.siteName }},
          {{ aside.wall }}: {{ what(aside) }}<span class="block text-ink-soft">{{ aside.reason }}.</span></span>
        <button type="button" class="press press-first" @click="decide(aside.key, true)">
          Accept entry
        </button>
        <button type="button" class="press" @click="decide(aside.key, false)">
          Decline entry
        </button>
      </li>
    </ul>
  </section>
</template>
