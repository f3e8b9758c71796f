<script setup lang="ts">
import { Moon, Sun } from 'lucide-vue-next'

/** Where one is, in whose name, and in which light. */
const { crumbs } = defineProps<{ crumbs: { title: string, to?: string }[] }>()
const { theme } = usePreferences()
</script>

<template>
  <header class="flex h-[calc(var(--target)+12px)] shrink-0 items-center gap-3 bg-bar px-3 text-on-bar">
    <NuxtLink to="/" no-prefetch class="flex items-center gap-2 font-bold" aria-label="Wide Trellis, all sites">
      <img src="/mark.svg" alt="" class="size-7"> <span class="hidden sm:inline">Wide Trellis</span>
    </NuxtLink>
    <nav class="flex min-w-0 flex-1 items-center gap-2 overflow-hidden text-sm whitespace-nowrap" aria-label="Where you are">
      <template v-for="({ title, to }, index) in crumbs" :key="title">
        <span v-if="index > 0" class="text-on-bar-soft" aria-hidden="true">›</span>
        <NuxtLink v-if="to" :to="to" no-prefetch class="shrink-0 text-on-bar-soft hover:underline">{{ title }}</NuxtLink>
        <span v-else class="truncate font-semibold">{{ title }}</span>
      </template>
    </nav>
    <slot />
    <NewVersion />
    <OutboxNote />
    <button type="button" class="grid size-[var(--target)] place-items-center rounded border border-on-bar-soft" :aria-label="theme === 'desk' ? 'Change to the light for the wall' : 'Change to the light for the desk'" @click="theme = theme === 'desk' ? 'site' : 'desk'">
      <component :is="theme === 'desk' ? Sun : Moon" class="size-4" aria-hidden="true" />
    </button>
    <AccountMenu />
  </header>
</template>
