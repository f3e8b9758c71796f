<script setup lang="ts">
/**
 * The address of a calendar that phones and calendar programs subscribe to: made, made anew, ended. It is shown once.
 */
const { path, of } = defineProps<{ path: string, of: string }>()
const address = ref('')
const says = ref('')
async function make() {
  try {
    const { secret } = await api<{ secret: string }>(path, { method: 'PUT', body: {} })
    address.value = `${location.origin}/api/calendar/${secret}.ics`
    says.value = 'Copy the link now: it is shown only once. Earlier links no longer work.'
  }
  catch (error) {
    says.value = (error as Error).message
  }
}
async function end() {
  try {
    await api(path, { method: 'DELETE', body: {} })
    address.value = ''
    says.value = 'Revoked. Calendars subscribed to this link are no longer updated.'
  }
  catch (error) {
    says.value = (error as Error).message
  }
}
const copy = () => void navigator.clipboard?.writeText(address.value).then(() => { says.value = 'Copied.' })
</script>

<template>
  <div class="space-y-1 text-sm" data-testid="calendar">
    <p class="field-label">
      Calendar link: {{ of }}
    </p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="press" @click="make">
        {{ address ? 'Replace link' : 'Create link' }}
      </button>
      <button type="button" class="press" @click="end">
        Revoke link
      </button>
    </div>
    <p v-if="address" class="flex flex-wrap items-center gap-2">
      <code class="figures break-all" data-testid="calendar-address">{{ address }}</code>
      <button type="button" class="press !px-2" @click="copy">
        Copy link
      </button>
    </p>
    <p v-if="says" role="status" class="text-ink-soft">
      {{ says }}
    </p>
  </div>
</template>
