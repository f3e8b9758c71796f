<script setup lang="ts">
import type { InvitationSummary, PersonSummary } from '~~/core/api/people'
import type { SiteSummary } from '~~/core/api/sites'
import { UserPlus } from 'lucide-vue-next'
import { ROLE_WORDS, type StaffRole } from '~~/core/people'

/** The people of the firm, who is invited, what waits for a planner, and what the firm decides about its devices. */
const session = useSessionStore()
interface State {
  people: PersonSummary[]
  invitations: InvitationSummary[]
  links: { site: string, wall: string, client: string, madeBy: string }[]
}
const state = ref<State>()
const sites = ref<SiteSummary[]>([])
const failed = ref('')
const fault = ref('')
/** A link that was just made; it is shown once. */
const link = ref<{ who: string, address: string }>()
const form = reactive({ name: '', address: '', role: 'crew' as StaffRole, sites: [] as string[] })
const faults = ref<Record<string, string>>({})
try {
  [state.value, sites.value] = await Promise.all([api<typeof state.value>('/people'), api<SiteSummary[]>('/sites')])
}
catch (error) {
  failed.value = (error as Error).message
}
async function ask(act: () => Promise<void>) {
  fault.value = ''
  faults.value = {}
  try {
    await act()
  }
  catch (error) {
    const refused = error as ApiError
    faults.value = Object.fromEntries(refused.faults.map(({ path, message }) => [path.slice(2), `It ${message}.`]))
    if (refused.faults.length === 0) fault.value = refused.message
  }
}
const invite = () => ask(async () => {
  const { address } = await api<{ address: string }>('/people/invitations', { method: 'POST', body: form })
  link.value = { who: form.name, address }
  Object.assign(form, { name: '', address: '', role: 'crew', sites: [] })
  state.value = await api('/people')
})
const reset = ({ id, name }: PersonSummary) => ask(async () => {
  link.value = { who: name, ...await api<{ address: string }>(`/people/${id}/reset`, { method: 'POST', body: {} }) }
  state.value = await api('/people')
})
const change = ({ id }: PersonSummary, body: unknown) =>
  ask(async () => {
    state.value = await api(`/people/${id}`, { method: 'PUT', body })
  })
const remove = ({ id }: PersonSummary, body: object) =>
  ask(async () => { state.value = await api(`/people/${id}`, { method: 'DELETE', body }) })
const madeBy = <Made extends { madeBy: string }>({ name }: PersonSummary, made: Made[] = []) =>
  made.filter(each => each.madeBy === name)
const takeBack = ({ id }: InvitationSummary) =>
  ask(async () => {
    state.value = await api(`/people/invitations/${id}`, { method: 'DELETE', body: {} })
  })
useHead({ title: 'People · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'People' }]" />
    <main
      class="mx-auto grid w-full max-w-5xl flex-1 content-start gap-6 overflow-y-auto p-6 md:grid-cols-[1fr_300px]"
      tabindex="0"
      aria-label="People"
    >
      <div class="space-y-6">
        <header>
          <h1 class="text-2xl font-bold">
            People of {{ session.firm?.name }}
          </h1>
          <p v-if="failed || fault" class="field-fault" role="alert">
            {{ failed || fault }}
          </p>
          <div v-if="link" class="mt-2 space-y-1 border-l-4 border-good bg-good-wash px-3 py-2 text-sm" role="status">
            <p>Send this link to {{ link.who }}. It is shown once, works once and expires after 7 days.</p>
            <input
              class="field-input"
              readonly
              :value="link.address"
              aria-label="Link"
              data-testid="join-link"
              @focus="($event.target as HTMLInputElement).select()"
            >
          </div>
        </header>
        <AsideList />
        <ul class="divide-y divide-hair border-y border-hair" aria-label="People">
          <PersonLine
            v-for="person in state?.people" :key="person.id" :person="person" :sites="sites"
            :own="person.id === session.person?.id" :invitations="madeBy(person, state?.invitations)"
            :links="madeBy(person, state?.links)" @change="change(person, $event)" @reset="reset(person)"
            @remove="remove(person, $event)"
          />
        </ul>
        <section v-if="state?.invitations.length" aria-labelledby="invited">
          <h2 id="invited" class="font-semibold">
            Open invitations
          </h2>
          <ul class="divide-y divide-hair text-sm">
            <li v-for="invitation in state.invitations" :key="invitation.id" class="flex items-center gap-3 py-2">
              <span class="flex-1">{{ invitation.name }},
                {{ invitation.address }}<span
                  class="block text-ink-soft"
                >{{ invitation.kind === 'join'
                  ? `joins as ${ROLE_WORDS[invitation.role].title.toLowerCase()}` : 'sets a new password' }}, created
                  by {{ invitation.madeBy }}, valid until {{ whenOf(invitation.expiresAt) }}</span></span>
              <button type="button" class="press" @click="takeBack(invitation)">
                Revoke
              </button>
            </li>
          </ul>
        </section>
      </div>
      <aside class="space-y-6">
        <form class="space-y-2" novalidate @submit.prevent="invite">
          <h2 class="font-semibold">
            Invite a person
          </h2>
          <FieldFrame id="invite-name" label="Name" :fault="faults.name">
            <input
              id="invite-name"
              v-model="form.name"
              class="field-input"
              autocomplete="off"
              maxlength="200"
              :aria-invalid="!!faults.name"
            >
          </FieldFrame>
          <FieldFrame id="invite-address" label="E-mail address" :fault="faults.address">
            <input
              id="invite-address"
              v-model="form.address"
              class="field-input"
              type="email"
              autocomplete="off"
              maxlength="200"
              :aria-invalid="!!faults.address"
            >
          </FieldFrame>
          <RoleFields id="invite" v-model:role="form.role" v-model:chosen="form.sites" :sites="sites" />
          <button type="submit" class="press press-first w-full">
            <UserPlus class="size-4" aria-hidden="true" /> Create link
          </button>
        </form>
        <FirmSettings />
        <NuxtLink class="press w-full" to="/audit">
          Sessions and audit log
        </NuxtLink>
      </aside>
    </main>
  </div>
</template>
