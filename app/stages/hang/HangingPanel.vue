<script setup lang="ts">
import type { Lifting } from '~~/core/hang'

/** The screens in the order in which they are hung: who lifts each, from where, and what is pulled out to pass. */
const { plan } = useWallPlan()
const { tell, quantity } = useUnits()
const { select, isSelected } = useSelection()
const orders = computed(() => plan.value?.hanging.filter(({ steps }) => steps.length > 0) ?? [])
const FROM: Record<Lifting['from'], string> = {
  floor: 'from the floor',
  platform: 'from a platform',
  tower: 'from a tower',
}
const by = ({ people, aid, from }: Lifting) =>
  `${aid ? `lifting aid and ${people} people` : people === 1 ? '1 person' : `${people} people`}, ${FROM[from]}`
</script>

<template>
  <div class="min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Screens in hanging order">
    <p v-if="orders.length === 0" class="text-sm">
      No screens to hang yet. Arrange the displays first.
    </p>
    <section v-for="{ array, name, why, steps } in orders" :key="array" class="mb-3" :data-hanging="array">
      <h2 class="font-semibold">
        {{ name }}
      </h2>
      <p class="text-sm text-ink-soft">
        {{ tell(why) }}
      </p>
      <ol class="mt-1">
        <li v-for="({ screen, label, lifting, pulledOut }, n) in steps" :key="screen">
          <button
            type="button"
            class="flex min-h-[var(--target)] w-full items-center gap-3 border-b border-hair py-1 text-left text-sm"
            :class="{ 'font-semibold': isSelected({ kind: 'screen', id: screen }) }"
            @click="select('screen', screen)"
          >
            <span class="figures w-6 shrink-0 text-right text-ink-soft">{{ n + 1 }}</span>
            <span class="w-16 shrink-0 text-base">{{ label }}</span>
            <span>
              {{ by(lifting) }}{{ pulledOut ? '; mount pulled out to clear the row above'
                : '' }}{{ lifting.handling === 'face-down' ? '; fit brackets face down on a padded bench' : '' }}
              <span class="block text-xs font-normal text-ink-soft">{{ tell(lifting.why) }}</span>
            </span>
          </button>
        </li>
      </ol>
    </section>
    <p class="py-1 text-xs text-ink-soft">
      Limits by the revised NIOSH lifting equation: {{ quantity(23, 'kg') }} per person up to shoulder height,
      {{ quantity(16.1, 'kg') }} above. Local rules take precedence. Keep displays upright unless the maker allows
      otherwise. Keep clear below unlocked screens.
    </p>
  </div>
</template>
