<script setup lang="ts">
import { ROLE_WORDS, type StaffRole } from '~~/core/people'

/** Coming in by a link: for the first time, or with a new password. */
const secret = useRoute().params.secret as string
const path = `/invitations/${encodeURIComponent(secret)}`
const { fault, faults, busy, enter } = useAuthForm()
const invitation = ref<{ kind: 'join' | 'reset', name: string, address: string, role: StaffRole, firm: string }>()
const failed = ref('')
const form = reactive({ name: '', password: '' })
try {
  invitation.value = await api(path)
  form.name = invitation.value!.name
}
catch (error) {
  failed.value = (error as Error).message
}
</script>

<template>
  <DoorFrame :title="invitation?.kind === 'reset' ? 'Set a new password' : 'Accept invitation'">
    <template v-if="failed">
      <p class="field-fault" role="alert">
        {{ failed }}
      </p>
      <NuxtLink class="press w-full" to="/sign-in">
        Sign in
      </NuxtLink>
    </template>
    <form v-else-if="invitation" class="space-y-3" novalidate @submit.prevent="enter(path, form)">
      <p class="text-sm">
        <b>{{ invitation.firm }}</b>{{ invitation.kind === 'join' ? ' invites you as '
          : ', ' }}<b>{{ ROLE_WORDS[invitation.role].title.toLowerCase() }}</b>: {{ ROLE_WORDS[invitation.role].does }}.
      </p>
      <FieldFrame id="join-address" label="Sign-in address" hint="">
        <input
          id="join-address"
          class="field-input"
          type="email"
          autocomplete="username"
          readonly
          :value="invitation.address"
        >
      </FieldFrame>
      <FieldFrame
        v-if="invitation.kind === 'join'"
        id="join-name"
        label="Your name"
        :fault="faults.name"
        hint="Your entries are recorded under this name."
      >
        <input
          id="join-name"
          v-model="form.name"
          class="field-input"
          autocomplete="name"
          maxlength="200"
          :aria-invalid="!!faults.name"
        >
      </FieldFrame>
      <PasswordField id="join-password" v-model="form.password" :fault="faults.password" />
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <button type="submit" class="press press-first w-full" :disabled="busy">
        {{ invitation.kind === 'join' ? 'Join' : 'Save and sign in' }}
      </button>
    </form>
  </DoorFrame>
</template>
