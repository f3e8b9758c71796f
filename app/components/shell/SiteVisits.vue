<script setup lang="ts">
import type { PublishedStretch } from '~~/core/api/programme'
import { minuteOf, visitsOf } from '~~/core/programme'
import { dayAt, timeAt } from '~/components/programme/when'

/** The visits to a site that are published from today on, by the site's own clock. */
const { site } = defineProps<{ site: string }>()
const stretches = ref<PublishedStretch[]>([])
const failed = ref('')
const YEAR = 366 * 86_400_000
onMounted(async () => {
  try {
    const [from, to] = [new Date(Date.now() - 86_400_000), new Date(Date.now() + YEAR)]
    stretches.value = (
      await api<PublishedStretch[]>(`/programme/published?from=${from.toISOString()}&to=${to.toISOString()}`)
    ).filter(each => each.site === site)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
})
const visits = computed(() =>
  visitsOf(
    stretches.value.map(each => ({ ...each, from: minuteOf(each.startsAt), to: minuteOf(each.endsAt) })),
    () => stretches.value[0]!.zone,
  ),
)
</script>

<template>
  <section aria-label="Visits">
    <h2 class="font-semibold">
      Visits
    </h2>
    <p v-if="failed" class="field-fault" role="alert">
      {{ failed }}
    </p>
    <p v-else-if="visits.length === 0" class="text-sm text-ink-soft">
      No visits published.
    </p>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="visit in visits" :key="visit.id" class="flex flex-wrap gap-x-3 py-1">
        <NuxtLink
          :to="`/programme/day?day=${visit.day}&crew=${visit.crew}`"
          no-prefetch
          class="font-semibold underline"
        >
          {{ dayAt(visit.from, visit.stretches[0]!.zone) }}
        </NuxtLink>
        <span class="figures">{{ timeAt(visit.from, visit.stretches[0]!.zone) }} to
          {{ timeAt(visit.to, visit.stretches[0]!.zone) }}</span>
        <span>{{ visit.stretches[0]!.crewName }}</span>
        <span class="text-ink-soft">{{ [...new Set(visit.stretches.map(({ title }) => title))].join('; ') }}</span>
      </li>
    </ul>
  </section>
</template>
