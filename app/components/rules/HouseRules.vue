<script setup lang="ts">
import type { Rules } from '~~/core/job'
import { HOUSE_RULES, RULE_FIGURES, valueOfOption, type RuleLevel, type RuleLevels } from '~~/core/rules'
import type { UnitSystem } from '~~/core/units'

/** Every house rule, as it holds at one level: firm, site or wall; with who chose it, and to choose for this level. */
const { levels, level, units, says, fixed = false } = defineProps<{
  levels: RuleLevels
  level: RuleLevel
  units: UnitSystem
  says: string
  /** Whether the reader them may not choose. */
  fixed?: boolean
}>()
const emit = defineEmits<{ choose: [rules: Rules] }>()
/** What every rule is shown by. */
const here = computed(() => ({ levels, level, fixed }))
const TIMES = RULE_FIGURES.filter(({ unit }) => unit?.startsWith('min'))
const FIGURES = RULE_FIGURES.filter(figure => !TIMES.includes(figure))
/** The rules of this level with a change; what is undefined in it is no longer chosen here. */
function choose(change: Partial<Rules>) {
  emit(
    'choose',
    Object.fromEntries(Object.entries({ ...levels[level], ...change }).filter(([, value]) => value !== undefined)),
  )
}
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-5">
    <header>
      <h1 class="text-2xl font-bold">
        House rules
      </h1>
      <p class="mt-1 text-sm text-ink-soft">
        Good installers differ on these points. The firm sets each rule for all sites; a site or a wall can override it.
        Plans follow the rules, and sheets print them.
      </p>
      <p class="mt-2 min-h-5 text-sm" role="status">
        {{ says || (fixed ? 'Read only. A planner or lead can edit house rules.' : '') }}
      </p>
    </header>
    <RuleChoice
      v-for="rule in HOUSE_RULES"
      :key="rule.key"
      :rule="rule"
      v-bind="here"
      @choose="value => choose({ [rule.key]: value === undefined ? undefined : valueOfOption(value) })"
    />
    <FigureRule
      v-for="figure in FIGURES"
      :key="figure.key"
      :figure="figure"
      v-bind="here"
      :units="units"
      @choose="mm => choose({ [figure.key]: mm })"
    />
    <section v-if="TIMES.length > 0" class="space-y-3 border-t border-hair pt-4" aria-labelledby="route-times">
      <h2 id="route-times" class="text-lg font-semibold">
        Time for the parts of a cable route
      </h2>
      <p class="text-sm text-ink-soft">
        Wire chooses the quickest route by these, and the schedule counts with them. Once ten routes are logged, their
        median corrects the sum.
      </p>
      <div class="grid gap-x-6 md:grid-cols-2">
        <FigureRule
          v-for="figure in TIMES"
          :key="figure.key"
          :figure="figure"
          v-bind="here"
          :units="units"
          @choose="minutes => choose({ [figure.key]: minutes })"
        />
      </div>
    </section>
  </div>
</template>
