<script setup lang="ts">
import { ChevronDown, CircleUserRound } from 'lucide-vue-next'
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ROLE_WORDS } from '~~/core/people'
import { pagesFor } from '~/navigation'

/** Who is signed in, as what; and the ways to account, people and audit. */
const session = useSessionStore()
const pages = computed(() => pagesFor(action => session.may(action), 'account'))
const others = computed(() => session.demo?.filter(({ id }) => id !== session.person?.id) ?? [])
async function become(person: string) {
  await api('/session/demo', { method: 'POST', body: { person } })
  location.reload()
}
</script>

<template>
  <Menu v-if="session.person" as="div" class="relative">
    <MenuButton
      class="flex h-[var(--target)] items-center gap-1.5 rounded border border-on-bar-soft px-2 text-sm"
      :aria-label="`${session.person.name}, ${ROLE_WORDS[session.person.role].title}: account`"
      data-testid="account"
    >
      <CircleUserRound class="size-4" aria-hidden="true" />
      <span class="hidden max-w-40 truncate md:inline">{{ session.person.name }}</span>
      <span class="hidden text-on-bar-soft lg:inline">{{ ROLE_WORDS[session.person.role].title }}</span>
      <ChevronDown class="size-4" aria-hidden="true" />
    </MenuButton>
    <MenuItems
      class="absolute top-full right-0 z-30 mt-1 w-64 border border-hair bg-board py-1 text-sm text-ink shadow-lg
        focus:outline-none"
    >
      <p class="px-3 py-2 text-ink-soft">
        <span class="block font-semibold text-ink">{{ session.person.name }}</span>{{ session.firm?.name }}
      </p>
      <MenuItem v-for="{ title, to } in pages" :key="to" v-slot="{ active, close }">
        <NuxtLink
          :to="to"
          no-prefetch
          class="block px-3 py-2"
          :class="{ 'bg-plaster underline': active }"
          @click="close"
        >{{ title }}</NuxtLink>
      </MenuItem>
      <template v-if="others.length">
        <p class="mt-1 border-t border-hair px-3 pt-2 text-xs text-ink-soft">
          Demo: switch to
        </p>
        <MenuItem v-for="{ id, name, role } in others" :key="id" v-slot="{ active }">
          <button
            type="button"
            class="block w-full px-3 py-1.5 text-left"
            :class="{ 'bg-plaster underline': active }"
            @click="become(id)"
          >
            {{ name }}, {{ ROLE_WORDS[role].title.toLowerCase() }}
          </button>
        </MenuItem>
      </template>
    </MenuItems>
  </Menu>
</template>
