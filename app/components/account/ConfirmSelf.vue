<script setup lang="ts">
import { Fingerprint } from 'lucide-vue-next'

/** Asks who uses this device to confirm who he is, before a way to sign in is changed. */
const { hasPassword, hasPasskey } = defineProps<{ hasPassword: boolean, hasPasskey: boolean }>()
const emit = defineEmits<{ confirmed: [], cancelled: [] }>()
const [password, fault] = [ref(''), ref('')]
const form = useTemplateRef<HTMLFormElement>('form')
onMounted(() => form.value?.querySelector<HTMLElement>('input, button')?.focus())
const { authenticate } = useWebAuthn({ authenticateEndpoint: '/api/session/confirmation/passkey' })

async function byPassword() {
  fault.value = ''
  try {
    await api('/session/confirmation', { method: 'POST', body: { password: password.value } })
    emit('confirmed')
  }
  catch (error) {
    fault.value = (error as Error).message
  }
}
async function byPasskey() {
  fault.value = ''
  try {
    await authenticate()
    emit('confirmed')
  }
  catch {
    fault.value = 'The passkey did not confirm that it is you. Try again.'
  }
}
</script>

<template>
  <form
    ref="form" class="space-y-2 border-l-4 border-caution bg-caution-wash px-3 py-2 text-sm" role="group"
    aria-labelledby="confirm-self" data-testid="confirm-self" novalidate @submit.prevent="byPassword"
  >
    <p id="confirm-self">
      You signed in more than 10 minutes ago. Confirm that it is you before you change how you sign in.
    </p>
    <FieldFrame v-if="hasPassword" id="confirm-password" label="Your password" :fault="fault">
      <input
        id="confirm-password" v-model="password" class="field-input" type="password" maxlength="200"
        autocomplete="current-password" :aria-invalid="fault !== ''"
      >
    </FieldFrame>
    <p v-else-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <p v-if="!hasPassword && !hasPasskey">
      You have neither a password nor a passkey. Sign out and sign in again, then change it within 10 minutes.
    </p>
    <div class="flex flex-wrap gap-2">
      <button v-if="hasPassword" type="submit" class="press press-first">
        Confirm
      </button>
      <button v-if="hasPasskey" type="button" class="press" @click="byPasskey">
        <Fingerprint class="size-4" aria-hidden="true" /> Confirm with passkey
      </button>
      <button type="button" class="press" @click="emit('cancelled')">
        Cancel
      </button>
    </div>
  </form>
</template>
