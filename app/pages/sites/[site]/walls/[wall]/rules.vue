<script setup lang="ts">
import type { Rules } from '~~/core/job'
import { openWall } from '~/sync/openWall'
import { useWallSync } from '~/sync/useWallSync'

/** The house rules of one wall: what holds for it, who chose it, and what it has otherwise than its site. */
const { site, wall: wallId } = useRoute().params as { site: string, wall: string }
const store = useWallStore()
const session = useSessionStore()
store.rights = action => session.may(action, site)
const failed = ref('')
const fail = (error: unknown) => void (failed.value = (error as Error).message)
try {
  const [{ settled, answered }] = await Promise.all([openWall(site, wallId), store.prepare()])
  answered.catch(fail)
  await settled
}
catch (error) {
  fail(error)
}
const { state, reason, waiting, resolve } = useWallSync()
const says = ref('')
function choose(rules: Rules) {
  const faults = store.edit('House rule of this wall', (wall) => {
    if (Object.keys(rules).length > 0) wall.rules = rules
    else delete wall.rules
  })
  says.value
    = faults.length > 0
      ? faults.map(({ message }) => `${message}.`).join(' ')
      : 'Saved. This wall now follows the rule.'
}
const crumbs = computed(() => [
  { title: 'Sites', to: '/' },
  { title: store.server?.job.site.name ?? site, to: `/sites/${site}` },
  { title: store.shown?.name ?? wallId, to: `/sites/${site}/walls/${wallId}/survey` },
  { title: 'House rules' },
])
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar
      :crumbs="crumbs"
    />
    <WallUnopened v-if="failed" :why="failed" />
    <template v-else-if="store.wall">
      <ConflictBanner v-if="store.conflict" @resolve="resolve" />
      <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
        <HouseRules
          :levels="store.ruleLevels"
          level="wall"
          :units="store.siteUnits"
          :says="says"
          :fixed="!store.rights('wall.design')"
          @choose="choose"
        />
      </main>
      <StatusLine :state="state" :reason="reason" :count="waiting.count" />
    </template>
  </div>
</template>
