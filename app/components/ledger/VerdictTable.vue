<script setup lang="ts">
/** Rows to import, and what becomes of each: added, changed, unchanged, or rejected and why. */
const { rows, what } = defineProps<{
  what: string
  rows: { row: number, text: string, becomes: keyof typeof VERDICT_WORDS, message?: string }[]
}>()
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto border-y border-hair" tabindex="0" role="group" aria-label="Rows">
    <table class="w-full border-collapse text-sm">
      <thead class="sticky top-0 bg-plaster text-left text-xs text-ink-soft">
        <tr>
          <th class="px-3 py-1.5 font-medium">
            Row
          </th><th class="px-3 font-medium">
            {{ what }}
          </th><th class="px-3 font-medium">
            Result
          </th>
        </tr>
      </thead>
      <tbody>
        <tr
          v-for="verdict in rows"
          :key="verdict.row"
          class="border-t border-hair align-top"
          :class="{ 'bg-stop-wash': verdict.becomes === 'refused' }"
          :data-becomes="verdict.becomes"
        >
          <td class="figures px-3 py-1">
            {{ verdict.row }}
          </td>
          <td class="figures px-3 py-1">
            {{ verdict.text }}
          </td>
          <td class="px-3 py-1">
            <b
              :class="{ 'text-stop': verdict.becomes === 'refused' }"
            >{{ VERDICT_WORDS[verdict.becomes] }}</b>{{ verdict.message ? `: ${verdict.message}` : '' }}
          </td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
