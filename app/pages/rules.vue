<script setup lang="ts">
import type { FirmState } from '~~/server/repositories/firm'

/** What the firm chooses for all its sites. */
const { state, failed, says, choose } = await useRules<FirmState>('/rules', '/rules')
const { units } = usePreferences()
useHead({ title: 'House rules · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'House rules of the firm' }]" />
    <main class="flex-1 overflow-y-auto p-6" aria-label="House rules" tabindex="0">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <HouseRules v-if="state" :levels="{ firm: state.rules, site: {}, wall: {} }" level="firm" :units="units || 'metric'" :says="says" @choose="choose" />
    </main>
  </div>
</template>
