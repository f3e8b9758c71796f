<script setup lang="ts">
import type { PersonSummary, RoleChoice } from '~~/core/api/people'
import { isBySite, ROLE_WORDS } from '~~/core/people'

/** A person of the firm: role and sites, to be changed; a link for a new password; removing him. */
const { person, sites, own, invitations = [], links = [] } = defineProps<{
  person: PersonSummary
  sites: { id: string, name: string }[]
  own: boolean
  /** What this person has made and is open: who is invited, and clients' links. */
  invitations?: { name: string }[]
  links?: { client: string, wall: string, site: string }[]
}>()
type Leave = { links: 'end' | 'take-over' }
const emit = defineEmits<{ change: [choice: RoleChoice & Leave], reset: [], remove: [leave: Leave] }>()
const takeOver = ref(false)
const leave = computed((): Leave => ({ links: takeOver.value ? 'take-over' : 'end' }))
const open = ref<'role' | 'remove'>()
const role = ref(person.role)
const chosen = ref([...person.sites])
const nameOf = (id: string) => sites.find(site => site.id === id)?.name ?? id
const where = computed(() =>
  !isBySite(person.role) ? '' : person.sites.length === 0 ? ', no sites' : `: ${person.sites.map(nameOf).join(', ')}`,
)
watch(() => person, (now) => {
  role.value = now.role
  chosen.value = [...now.sites]
  open.value = undefined
})
</script>

<template>
  <li class="space-y-2 py-3" :data-person="person.name">
    <div class="flex flex-col gap-3 md:flex-row md:items-center">
      <p class="min-w-0 flex-1">
        <span class="font-semibold">{{ person.name }}</span><span v-if="own" class="text-ink-soft">, you</span>
        <span class="block text-sm"><b class="font-semibold">{{ ROLE_WORDS[person.role].title }}</b>{{ where }}</span>
        <span class="block text-sm text-ink-soft">{{ person.address }};
          {{ person.seenAt ? `last seen ${whenOf(person.seenAt)}` : 'never signed in' }}</span>
      </p>
      <span class="flex flex-wrap gap-2">
        <button
          type="button"
          class="press"
          :aria-expanded="open === 'role'"
          :aria-label="`Role of ${person.name}`"
          @click="open = open === 'role' ? undefined : 'role'"
        >Role…</button>
        <button
          type="button"
          class="press"
          :aria-label="`Reset password of ${person.name}`"
          @click="emit('reset')"
        >Reset password…</button>
        <button
          type="button"
          class="press"
          :aria-expanded="open === 'remove'"
          :aria-label="`Remove ${person.name}`"
          @click="open = open === 'remove' ? undefined : 'remove'"
        >Remove…</button>
      </span>
    </div>
    <form
      v-if="open === 'role'" class="space-y-2 border-l-4 border-hair pl-3"
      @submit.prevent="emit('change', { role, sites: chosen, ...leave })"
    >
      <RoleFields :id="`of-${person.id}`" v-model:role="role" v-model:chosen="chosen" :sites="sites" />
      <OpenOfPerson v-if="role !== 'planner'" v-model="takeOver" :invitations="invitations" :links="links" />
      <button type="submit" class="press press-first">
        Save role
      </button>
    </form>
    <div v-if="open === 'remove'" class="space-y-2 border-l-4 border-stop bg-stop-wash px-3 py-2 text-sm">
      <p>
        {{ person.name }} is signed out everywhere and can no longer sign in. Recorded entries stay. Unsent entries that
        were signed before now are still accepted.
      </p>
      <OpenOfPerson v-model="takeOver" :invitations="invitations" :links="links" />
      <button type="button" class="press border-stop! text-stop!" @click="emit('remove', leave)">
        Remove {{ person.name }}
      </button>
    </div>
  </li>
</template>
