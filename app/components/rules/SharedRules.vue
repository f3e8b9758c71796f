<script setup lang="ts">
import type { FirmState, SiteState } from '~~/core/api/sites'
import type { RuleLevels } from '~~/core/rules'

/** House rules that hold for many walls: the firm's, or a site's against what its firm chose. */
const { site } = defineProps<{
  /** The site's id; absent: the firm's own. */
  site?: string
}>()
const session = useSessionStore()
const { units: preferred } = usePreferences()
const [read, save] = site === undefined ? ['/rules', '/rules'] : [`/sites/${site}`, `/sites/${site}/rules`]
const { state, proposed, failed, says, choose, accept, leave } = await useRules<FirmState | SiteState>(read!, save!)
const ofSite = computed(() => (state.value && 'site' in state.value ? state.value : undefined))
const levels = computed((): RuleLevels => {
  const rules = state.value?.rules ?? {}
  return ofSite.value ? { firm: ofSite.value.firm, site: rules, wall: {} } : { firm: rules, site: {}, wall: {} }
})
const mayChoose = computed(() => (site === undefined ? session.may('firm.rules') : session.may('site.settings', site)))
const units = computed(() => ofSite.value?.site.units ?? (preferred.value || 'metric'))
const crumbs = computed(() => {
  const sites = { title: 'Sites', to: '/' }
  if (site === undefined) return [sites, { title: 'House rules of the firm' }]
  return [sites, { title: ofSite.value?.site.name ?? site, to: `/sites/${site}` }, { title: 'House rules' }]
})
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="crumbs" />
    <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <TouchedWalls v-if="proposed" :proposed="proposed" @accept="accept" @leave="leave" />
      <HouseRules
        v-if="state"
        :levels="levels"
        :level="site === undefined ? 'firm' : 'site'"
        :units="units"
        :says="says"
        :fixed="!mayChoose"
        @choose="choose"
      />
    </main>
  </div>
</template>
