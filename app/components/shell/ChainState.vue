<script setup lang="ts">
import { Link2, Unlink2 } from 'lucide-vue-next'
import type { ChainState } from '~~/core/log'

/** Whether nothing in a site's log was changed, taken out or put in; or since when that is not so. */
const { site } = defineProps<{ site: string }>()
const state = ref<ChainState>()
const failed = ref('')
onMounted(async () => {
  try {
    state.value = await api<ChainState>(`/sites/${site}/chain`)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
})
</script>

<template>
  <section aria-label="Log" class="space-y-1 text-sm">
    <h2 class="text-base font-semibold">
      Log
    </h2>
    <p v-if="failed" class="text-ink-soft">
      Not known: {{ failed }}
    </p>
    <p v-else-if="!state" role="status">
      Checking the log…
    </p>
    <p
      v-else-if="!state.broken && !state.lost"
      class="flex items-start gap-2 border-l-4 border-good bg-good-wash px-2 py-1" data-testid="chain"
    >
      <Link2 class="mt-0.5 size-4 shrink-0" aria-hidden="true" /> Intact:
      {{ state.entries }} {{ state.entries === 1 ? 'entry' : 'entries' }}, none changed or removed.
    </p>
    <p v-if="state?.head" class="text-ink-soft">
      Code of the log: <b class="font-semibold whitespace-nowrap">{{ state.head }}</b>. Write it down: with it
      anyone sees later whether an entry up to today was changed or removed
      (<code>wt log verify FILE --head CODE</code>). Sheets print the code of their issue.
    </p>
    <details v-if="state?.proof" class="text-ink-soft">
      <summary class="cursor-pointer py-1">
        Signed head and public key
      </summary>
      Last head signed by the server: <code class="block text-xs break-all" data-testid="proof">{{ state.proof }}</code>
      Public key of the server: <code class="block text-xs break-all">{{ state.key }}</code>
    </details>
    <p
      v-if="state?.lost"
      class="flex items-start gap-2 border-l-4 border-stop bg-stop-wash px-2 py-1" data-testid="chain-lost" role="alert"
    >
      <Unlink2 class="mt-0.5 size-4 shrink-0" aria-hidden="true" /> {{ state.lost }}. Entries were
      removed or replaced, or an older backup was restored: compare with sheets and other backups.
    </p>
    <p v-if="state?.imported" class="text-ink-soft">
      The first {{ state.imported.entries }} entries were imported by {{ state.imported.by }},
      {{ whenOf(state.imported.at) }}: their authors are as the file says.
    </p>
    <p
      v-if="state?.broken"
      class="flex items-start gap-2 border-l-4 border-stop bg-stop-wash px-2 py-1"
      data-testid="chain"
      role="alert"
    >
      <Unlink2
        class="mt-0.5 size-4 shrink-0"
        aria-hidden="true"
      /> Broken since {{ whenOf(state.broken.at) }}: entry {{ state.broken.index + 1 }} of {{ state.entries }}, by
      {{ state.broken.by }}, {{ state.broken.why }}. Earlier entries are intact.
    </p>
  </section>
</template>
