<script setup lang="ts">
import { Moon, Sun } from 'lucide-vue-next'

/** Where one is, in whose name, and in which light. */
const { crumbs } = defineProps<{ crumbs: { title: string, to?: string }[] }>()
const { theme } = usePreferences()
/** Far in, a phone has room for what lies just above: the mark leads to all sites. */
const deep = computed(() => crumbs.length > 2)
/** The account, and what waits to be sent, come once the page itself stands. */
const later = ref(false)
const missing = useMissingPart()
const reload = () => location.reload()
const MISSING
  = 'A part of this page was not loaded because the connection was lost. Unsent changes are kept on this device.'
onNuxtReady(() => { later.value = true })
</script>

<template>
  <header class="flex h-[calc(var(--target)+12px)] shrink-0 items-center gap-3 bg-bar px-3 text-on-bar">
    <NuxtLink to="/" no-prefetch class="flex items-center gap-2 font-bold" aria-label="Wide Trellis, all sites">
      <img src="/mark.svg" alt="" class="size-7"> <span class="hidden sm:inline">Wide Trellis</span>
    </NuxtLink>
    <nav
      class="flex min-w-0 flex-1 items-center gap-2 overflow-hidden text-sm whitespace-nowrap"
      aria-label="Where you are"
    >
      <template v-for="({ title, to }, index) in crumbs" :key="title">
        <span
          v-if="index > 0"
          class="text-on-bar-soft"
          :class="{ 'max-md:hidden': deep && (index === 1 || $slots.default) }"
          aria-hidden="true"
        >›</span>
        <NuxtLink
          v-if="to"
          :to="to"
          no-prefetch
          class="text-on-bar-soft hover:underline"
          :class="index === 0 ? ['shrink-0', { 'max-md:hidden': deep }] : 'truncate'"
        >{{ title }}</NuxtLink>
        <span
          v-else
          class="truncate font-semibold"
          :class="{ 'max-md:hidden': deep && $slots.default }"
        >{{ title }}</span>
      </template>
    </nav>
    <slot />
    <button v-if="missing" class="press !px-2" data-testid="missing-part" :title="MISSING" @click="reload">
      Reload page
    </button>
    <template v-if="later">
      <LazyNewVersion />
      <LazyOutboxNote />
    </template>
    <button
      type="button"
      class="grid size-[var(--target)] place-items-center rounded border border-on-bar-soft"
      :aria-label="theme === 'desk' ? 'Switch to the site theme' : 'Switch to the desk theme'"
      @click="theme = theme === 'desk' ? 'site' : 'desk'"
    >
      <component :is="theme === 'desk' ? Sun : Moon" class="size-4" aria-hidden="true" />
    </button>
    <LazyAccountMenu v-if="later" />
    <span v-else class="w-15" />
  </header>
</template>
