<script setup lang="ts">
import type { Rules } from '~~/core/job'
import { DEFAULT_MARKING_SIGMA } from '~~/core/mark'
import { effectiveRules, HOUSE_RULES, levelOfRule, valueOfSchool, type RuleLevel, type RuleLevels } from '~~/core/rules'
import { formatLength, parseLength, type UnitSystem } from '~~/core/units'

/** Every house rule, as it holds at one level: firm, site or wall; with who chose it, and to choose for this level. */
const { levels, level, units, says } = defineProps<{ levels: RuleLevels, level: RuleLevel, units: UnitSystem, says: string }>()
const emit = defineEmits<{ choose: [rules: Rules] }>()
/** The rules of this level with a change; what is undefined in it is no longer chosen here. */
function choose(change: Partial<Rules>) {
  emit('choose', Object.fromEntries(Object.entries({ ...levels[level], ...change }).filter(([, value]) => value !== undefined)))
}
const sigma = computed(() => formatLength(effectiveRules(levels).markingSigma ?? DEFAULT_MARKING_SIGMA, units, { decimals: 1, denominator: 32 }))
const typed = ref<string>()
const fault = ref('')
function chooseSigma() {
  if (typed.value === undefined) return
  const read = parseLength(typed.value, units)
  fault.value = !read.ok ? read.message : read.mm < 0 ? 'It must not be negative.' : ''
  if (!read.ok || fault.value) return
  choose({ markingSigma: read.mm })
  typed.value = undefined
}
</script>

<template>
  <div class="mx-auto max-w-3xl space-y-5">
    <header>
      <h1 class="text-2xl font-bold">
        House rules
      </h1>
      <p class="mt-1 text-sm text-ink-soft">
        Good installers disagree here, each with reason. The firm chooses for all its sites, a site for its walls, a wall for itself; plans follow, and sheets print what was chosen.
      </p>
      <p class="mt-2 min-h-5 text-sm" role="status">
        {{ says }}
      </p>
    </header>
    <RuleChoice v-for="rule in HOUSE_RULES" :key="rule.key" :rule="rule" :levels="levels" :level="level" @choose="value => choose({ [rule.key]: value === undefined ? undefined : valueOfSchool(value) })" />
    <div class="max-w-sm border-t border-hair pt-4">
      <FieldFrame id="sigma" v-slot="{ describedby }" :label="`One σ of a single tape measurement${units === 'metric' ? ', mm' : ''}`" :fault="fault" hint="Two marks in three lie within it of their true place. Sheets state how true a mark is by it.">
        <input id="sigma" class="field-input text-right" :value="typed ?? sigma" :aria-invalid="fault !== ''" :aria-describedby="describedby" autocomplete="off" @input="typed = ($event.target as HTMLInputElement).value" @change="chooseSigma">
      </FieldFrame>
      <button v-if="levelOfRule('markingSigma', levels) === level" type="button" class="press mt-2" @click="choose({ markingSigma: undefined })">
        {{ level === 'firm' ? 'As is usual' : level === 'site' ? 'As the firm has it' : 'As the site has it' }}
      </button>
    </div>
  </div>
</template>
