<script setup lang="ts">
import type { SiteState } from '~~/server/repositories/sites'

/** What a site chooses for its walls, against what its firm chose. */
const site = useRoute().params.site as string
const session = useSessionStore()
const { state, proposed, failed, says, choose, accept, leave } = await useRules<SiteState>(
  `/sites/${site}`,
  `/sites/${site}/rules`,
)
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar
      :crumbs="[{ title: 'Sites', to: '/' }, { title: state?.site.name
                                                 ?? site,
                                               to: `/sites/${site}` }, { title: 'House rules' }]"
    />
    <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <TouchedWalls v-if="proposed" :proposed="proposed" @accept="accept" @leave="leave" />
      <HouseRules
        v-if="state"
        :levels="{ firm: state.firm, site: state.rules, wall: {} }"
        level="site"
        :units="state.site.units"
        :says="says"
        :fixed="!session.may('site.settings', site)"
        @choose="choose"
      />
    </main>
  </div>
</template>
