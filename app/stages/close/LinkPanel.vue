<script setup lang="ts">
import type { LinkSummary } from '~~/core/api/walls'

/** Links by which a client reads and signs without an account: each ends by itself, and can be taken back. */
const store = useWallStore()
const base = computed(() => `/sites/${store.site}/walls/${store.id}/links`)
const links = ref<LinkSummary[]>([])
const made = ref('')
const fault = ref('')
const form = reactive({ client: '', days: '14' })
async function ask(act: () => Promise<void>) {
  try {
    await act()
  }
  catch (error) {
    const { faults, message } = error as ApiError
    fault.value
      = faults.length > 0
        ? faults.map(each => `${each.path === '$.days' ? 'Valid days' : 'Client'}: ${each.message}.`).join(' ')
        : message
  }
}
const read = () => ask(async () => { links.value = await api<LinkSummary[]>(base.value) })
watch(base, read, { immediate: true })
const make = () => {
  fault.value = ''
  void ask(async () => {
    made.value = (
      await api<LinkSummary & { address: string }>(base.value, {
        method: 'POST',
        body: { client: form.client, days: Number(form.days) },
      })
    ).address
    form.client = ''
    links.value = await api<LinkSummary[]>(base.value)
  })
}
const end = (id: string) => ask(async () => {
  fault.value = ''
  links.value = await api<LinkSummary[]>(`${base.value}/${id}`, { method: 'DELETE', body: {} })
  made.value = ''
})
const stateOf = ({ endedAt, expiresAt }: LinkSummary) =>
  endedAt ? 'revoked' : Date.parse(expiresAt) <= Date.now() ? 'expired' : `valid until ${whenOf(expiresAt)}`
const holds = ({ endedAt, expiresAt }: LinkSummary) => !endedAt && Date.parse(expiresAt) > Date.now()
</script>

<template>
  <section aria-label="Client link">
    <h2 class="text-sm font-semibold">
      Client link
    </h2>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="link in links" :key="link.id" class="flex items-center gap-2 py-1" :data-link="link.id">
        <span class="flex-1">{{ link.client }} <span class="text-ink-soft">{{ stateOf(link) }}</span></span>
        <button v-if="holds(link)" type="button" class="press" @click="end(link.id)">
          Revoke
        </button>
      </li>
    </ul>
    <div class="mt-1 grid grid-cols-[1fr_5rem] gap-2">
      <label class="text-sm">Client<input
        v-model="form.client"
        class="field-input"
        autocomplete="off"
        maxlength="200"
        @input="fault = ''"
      ></label>
      <label class="text-sm">Valid days<input
        v-model="form.days"
        class="field-input text-right"
        inputmode="numeric"
        autocomplete="off"
        @input="fault = ''"
      ></label>
    </div>
    <button type="button" class="press mt-1" @click="make">
      Create link
    </button>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <p v-if="made" class="mt-1 text-xs">
      Send this link to the client. It is shown only once: <input
        class="field-input !text-xs"
        readonly
        :value="made"
        aria-label="Link"
        data-testid="made-link"
        @focus="($event.target as HTMLInputElement).select()"
      >
    </p>
  </section>
</template>
