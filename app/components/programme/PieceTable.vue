<script setup lang="ts">
import type { Learned } from '~~/core/programme/lessons/learned'
import { tenth } from './cases'

/** What a piece of each kind of work takes: what is usual, and what the firm's logs tell. */
const { learned } = defineProps<{ learned: Learned }>()
const minutes = computed(() => learned.minutes.filter(({ logs }) => logs > 0))
const GOES_BY = { own: 'set by the firm', learned: 'our median', default: 'default' }
</script>

<template>
  <section aria-label="Minutes per unit">
    <h2 class="font-semibold">
      Time per unit
    </h2>
    <p v-if="minutes.length === 0" class="text-sm">
      No times logged yet. They are recorded as steps are ticked in Hang.
    </p>
    <table v-else class="w-full text-left text-sm">
      <thead class="text-xs text-ink-soft">
        <tr>
          <th
            v-for="(head, n) in ['Work', 'Default (min)', 'Median (min)', 'Middle half', 'Entries', 'In use']"
            :key="head"
            class="font-normal"
            :class="{ 'text-right': n > 0 && n < 5, 'pl-3': n === 5 }"
          >
            {{ head }}
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in minutes" :key="each.sort" class="border-t border-hair">
          <td class="py-1">
            {{ each.title }}
          </td>
          <td class="figures text-right">
            {{ tenth(each.usual) }}
          </td>
          <td class="figures text-right">
            {{ tenth(each.middle!) }}
          </td>
          <td class="figures text-right">
            {{ each.logs > 1 ? `${tenth(each.spread![0])} to ${tenth(each.spread![1])}` : 'not known' }}
          </td>
          <td class="figures text-right">
            {{ each.logs }}
          </td>
          <td class="pl-3">
            {{ GOES_BY[each.from] }}
          </td>
        </tr>
      </tbody>
    </table>
    <p class="text-xs text-ink-soft">
      From ten entries on, the schedule uses our median, unless the firm has set its own figure.
    </p>
  </section>
</template>
