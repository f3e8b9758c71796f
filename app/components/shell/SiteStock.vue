<script setup lang="ts">
import type { StockLine } from '~~/core/programme/stock/stock'

/** What a site's walls still need, against what store and vans hold. */
const { site } = defineProps<{ site: string }>()
type Line = StockLine & { name: string }
const lines = ref<Line[]>([])
const failed = ref('')
onMounted(async () => {
  try {
    lines.value = (await api<{ lines: Line[] }>(`/stock?site=${site}`)).lines.filter(({ reserved }) => reserved > 0)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
})
const missing = ({ have, reserved }: Line) =>
  have === undefined ? 'not counted' : have < reserved ? `${reserved - have} short` : 'in stock'
const sorted = computed(() =>
  [...lines.value].sort((a, b) => Number(missing(a) === 'in stock') - Number(missing(b) === 'in stock')),
)
</script>

<template>
  <section aria-label="Stock" data-testid="site-stock">
    <h2 class="font-semibold">
      Material required
    </h2>
    <p v-if="failed" class="field-fault" role="alert">
      {{ failed }}
    </p>
    <p v-else-if="lines.length === 0" class="text-sm text-ink-soft">
      Nothing required from the catalogue.
    </p>
    <ul class="grid gap-x-6 text-sm sm:grid-cols-2">
      <li v-for="line in sorted" :key="`${line.kind} ${line.model}`" class="flex gap-2 border-t border-hair py-1">
        <span class="figures w-8 shrink-0 text-right font-semibold">{{ line.reserved }}</span>
        <span class="min-w-0 flex-1 truncate">{{ line.name }}</span>
        <span
          :class="missing(line) === 'in stock' ? 'text-ink-soft'
            : 'font-semibold text-caution'"
        >{{ missing(line) }}</span>
      </li>
    </ul>
  </section>
</template>
