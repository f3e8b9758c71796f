<script setup lang="ts">
import { HOUSE_RULES, chosenOption, type Rules } from '~~/core/job'
import { DEFAULT_MARKING_SIGMA } from '~~/core/mark'
import { formatLength, parseLength } from '~~/core/units'
import type { SiteState } from '~~/server/repositories/sites'

/** House rules: where good installers disagree, a firm chooses; every wall of the site is planned by it. */
const site = useRoute().params.site as string
const kept = ref<SiteState>()
const failed = ref('')
const said = ref('')
try {
  kept.value = await api<SiteState>(`/sites/${site}`)
}
catch (error) {
  failed.value = (error as Error).message
}
const units = computed(() => kept.value?.site.units ?? 'metric')

/** Saves one rule; what somebody else saved in between is shown and not written over. */
async function choose(change: Partial<Rules>) {
  const rules = Object.fromEntries(Object.entries({ ...kept.value!.rules, ...change }).filter(([, value]) => value !== undefined))
  said.value = ''
  try {
    kept.value = await api<SiteState>(`/sites/${site}/rules`, { method: 'PUT', body: { rules, version: kept.value!.version } })
    said.value = 'Saved. Every wall of this site is planned by it from now on.'
  }
  catch (error) {
    const refused = error as ApiError
    if (refused.code === 'stale') kept.value = refused.current as SiteState
    said.value = [refused.message, ...refused.code === 'stale' ? ['What is kept now is shown; choose again.'] : []].join(' ')
  }
}

const sigma = computed(() => formatLength(kept.value?.rules.markingSigma ?? DEFAULT_MARKING_SIGMA, units.value, { decimals: 1, denominator: 32 }))
const typed = ref<string>()
const fault = ref('')
async function chooseSigma() {
  if (typed.value === undefined) return
  const read = parseLength(typed.value, units.value)
  fault.value = !read.ok ? read.message : read.mm < 0 ? 'It must not be negative.' : ''
  if (!read.ok || fault.value) return
  await choose({ markingSigma: read.mm })
  typed.value = undefined
}
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: kept?.site.name ?? site, to: `/sites/${site}` }, { title: 'House rules' }]" />
    <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
      <div class="mx-auto max-w-3xl space-y-5">
        <header>
          <h1 class="text-2xl font-bold">
            House rules
          </h1>
          <p class="mt-1 text-sm text-ink-soft">
            Good installers disagree here, each with reason. Choose once; the plans of this site’s walls follow, and their sheets print what was chosen.
          </p>
          <p class="mt-2 min-h-5 text-sm" role="status">
            {{ said }}
          </p>
        </header>
        <p v-if="failed" class="field-fault" role="alert">
          {{ failed }}
        </p>
        <template v-if="kept">
          <RuleChoice v-for="rule in HOUSE_RULES" :key="rule.key" :rule="rule" :value="chosenOption(rule, kept.rules).value" @choose="value => choose({ [rule.key]: rule.key === 'coveringCountsAsGap' ? value === 'true' : value || undefined })" />
          <div class="max-w-sm border-t border-hair pt-4">
            <FieldFrame id="sigma" v-slot="{ describedby }" :label="`One σ of a single tape measurement${units === 'metric' ? ', mm' : ''}`" :fault="fault" hint="Two marks in three lie within it of their true place. Sheets state how true a mark is by it.">
              <input id="sigma" class="field-input text-right" :value="typed ?? sigma" :aria-invalid="fault !== ''" :aria-describedby="describedby" autocomplete="off" @input="typed = ($event.target as HTMLInputElement).value" @change="chooseSigma">
            </FieldFrame>
          </div>
        </template>
      </div>
    </main>
  </div>
</template>
