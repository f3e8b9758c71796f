<script setup lang="ts">
import { useEventListener } from '@vueuse/core'
import { pagesFor } from './navigation'

const { theme } = usePreferences()
const palette = ref(false)
const keySheet = ref(false)
/** Fetched when they are first wanted, and there from then on. */
const wanted = reactive({ palette: false, keySheet: false })
watchEffect(() => {
  wanted.palette ||= palette.value
  wanted.keySheet ||= keySheet.value
})
useHead({ htmlAttrs: { 'data-theme': theme } })
useCommands([
  {
    id: 'palette',
    title: 'Search commands',
    group: 'Everywhere',
    keys: ['/', 'ctrl+k'],
    run: () => {
      palette.value = true
    },
  },
  {
    id: 'keys',
    title: 'Show keyboard shortcuts',
    group: 'Everywhere',
    keys: ['?'],
    run: () => {
      keySheet.value = true
    },
  },
  {
    id: 'light',
    title: 'Switch theme: desk or site',
    group: 'Everywhere',
    keys: ['l'],
    run: () => {
      theme.value = theme.value === 'desk' ? 'site' : 'desk'
    },
  },
])
const session = useSessionStore()
const pages = computed(() => session.person ? pagesFor(action => session.may(action)) : [])
useCommands(() => pages.value.map(({ title, to, keys }) =>
  ({ id: `to-${to}`, title, group: 'Go to' as const, ...keys && { keys }, run: () => void navigateTo(to) })))
useEventListener(window, 'keydown', (event) => {
  // While a dialog is on its way, what is typed is meant for it and does nothing else.
  if (!palette.value && !keySheet.value) runByKey(event)
})
</script>

<template>
  <div class="h-full">
    <NuxtPage />
    <LazyCommandPalette v-if="wanted.palette" v-model:open="palette" />
    <LazyKeySheet v-if="wanted.keySheet" v-model:open="keySheet" />
  </div>
</template>
