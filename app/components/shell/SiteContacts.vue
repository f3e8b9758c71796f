<script setup lang="ts">
import type { SiteState } from '~~/core/api/sites'
import type { Site } from '~~/core/job'

/** People to call of a site: who stands before an open wall years later needs them. */
const { site } = defineProps<{ site: string }>()
const session = useSessionStore()
const state = defineModel<SiteState>()
const fault = ref('')
const form = reactive({ name: '', for: '', phone: '' })
const contacts = computed<NonNullable<Site['contacts']>>(() => state.value?.site.contacts ?? [])
async function save(next: NonNullable<Site['contacts']>) {
  try {
    state.value = await api<SiteState>(`/sites/${site}/contacts`, {
      method: 'PUT',
      body: { contacts: next, version: state.value!.version },
    })
    fault.value = ''
    return true
  }
  catch (error) {
    const { faults, message, current } = error as ApiError
    if (current) state.value = current as SiteState
    fault.value
      = faults.length > 0
        ? faults.map(each => `${each.path.replace(/^\$\.site\.contacts/, '')} ${each.message}`.trim()).join('. ')
        : message
    return false
  }
}
async function add() {
  if (!form.name.trim()) return void (fault.value = 'Enter a name.')
  const one = {
    name: form.name.trim(),
    ...(form.for.trim() && { for: form.for.trim() }),
    ...(form.phone.trim() && { phone: form.phone.trim() }),
  }
  if (await save([...contacts.value, one])) Object.assign(form, { name: '', for: '', phone: '' })
}
</script>

<template>
  <section v-if="state" aria-label="Contacts" class="space-y-2">
    <h2 class="font-semibold">
      Contacts
    </h2>
    <ul class="divide-y divide-hair text-sm">
      <li v-for="(contact, n) in contacts" :key="n" class="flex items-center gap-2 py-1">
        <span class="flex-1">{{ contact.name }}<span
          class="block text-xs text-ink-soft"
        >{{ [contact.for,
             contact.phone].filter(Boolean).join(', ') }}</span></span>
        <button
          v-if="session.may('site.settings', site)"
          type="button"
          class="press !px-2"
          :aria-label="`Remove ${contact.name}`"
          @click="save(contacts.filter((_, k) => k !== n))"
        >
          Remove
        </button>
      </li>
    </ul>
    <details v-if="session.may('site.settings', site)">
      <summary class="cursor-pointer text-sm">
        Add contact
      </summary>
      <form class="mt-1 space-y-1 text-sm" novalidate @submit.prevent="add">
        <label class="block">Name<input
          v-model="form.name"
          class="field-input"
          autocomplete="off"
          maxlength="200"
          @input="fault = ''"
        ></label>
        <label class="block">Responsible for<input
          v-model="form.for"
          class="field-input"
          autocomplete="off"
          maxlength="200"
        ></label>
        <label class="block">Phone<input
          v-model="form.phone"
          class="field-input"
          autocomplete="off"
          maxlength="200"
          inputmode="tel"
        ></label>
        <button type="submit" class="press">
          Add
        </button>
      </form>
    </details>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
  </section>
</template>
