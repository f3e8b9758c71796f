<script setup lang="ts">
import { Fingerprint, LogIn } from 'lucide-vue-next'
import { ROLE_WORDS } from '~~/core/people'

/** Signing in: by address and password, by a passkey, or, in the demo on its own machine, by a click. */
const session = useSessionStore()
const { fault, faults, busy, enter, wayOn } = useAuthForm()
const form = reactive({ address: '', password: '' })
const choose = ref<{ id: string, name: string }[]>([])
const failed = ref('')
try {
  await session.confirm()
  if (session.person) await navigateTo(wayOn())
  else if (!session.begun) await navigateTo('/begin')
}
catch (error) {
  failed.value = (error as Error).message
}
async function signIn(firm?: string) {
  const answer = await enter('/session', { ...form, firm }) as { choose?: { id: string, name: string }[] } | undefined
  choose.value = answer?.choose ?? []
}
const { isSupported, authenticate } = useWebAuthn({ authenticateEndpoint: '/api/session/passkey' })
async function byPasskey() {
  try {
    await authenticate()
    location.assign(wayOn())
  }
  catch (error) {
    fault.value
      = (error as { data?: { error?: { message: string } } }).data?.error?.message
        ?? 'The passkey was not used. Sign in with your password.'
  }
}
</script>

<template>
  <DoorFrame title="Sign in">
    <p
      v-if="session.locked"
      class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm"
      role="status"
      data-testid="locked"
    >
      {{ session.locked }}
    </p>
    <p v-if="failed" class="field-fault" role="alert">
      {{ failed }}
    </p>
    <section v-if="session.demo" class="space-y-2" aria-label="Demo users">
      <p class="text-sm">
        Demo on this computer. Sign in as:
      </p>
      <button
        v-for="{ id, name, role } in session.demo"
        :key="id"
        type="button"
        class="grid w-full grid-cols-[7.5rem_1fr] items-baseline gap-3 border-l-4 border-pine bg-paper px-3 py-2
          text-left hover:bg-plaster"
        :disabled="busy"
        @click="enter('/session/demo', { person: id })"
      >
        <span class="font-semibold whitespace-nowrap">{{ name }}</span>
        <span class="text-sm text-ink-soft">{{ ROLE_WORDS[role].title }}: {{ ROLE_WORDS[role].does }}</span>
      </button>
    </section>
    <form
      class="space-y-3"
      :class="{ 'border-t border-hair pt-4': session.demo }"
      novalidate
      @submit.prevent="signIn()"
    >
      <FieldFrame id="sign-address" label="E-mail address" :fault="faults.address">
        <input
          id="sign-address"
          v-model="form.address"
          class="field-input"
          type="email"
          autocomplete="username webauthn"
          required
        >
      </FieldFrame>
      <FieldFrame id="sign-password" label="Password" :fault="faults.password">
        <input
          id="sign-password"
          v-model="form.password"
          class="field-input"
          type="password"
          autocomplete="current-password"
          required
        >
      </FieldFrame>
      <p v-if="fault" class="field-fault" role="alert">
        {{ fault }}
      </p>
      <div v-if="choose.length" class="space-y-2" role="group" aria-label="Your firms">
        <p class="text-sm">
          You belong to several firms. Choose one:
        </p>
        <button v-for="{ id, name } in choose" :key="id" type="button" class="press w-full" @click="signIn(id)">
          {{ name }}
        </button>
      </div>
      <button v-else type="submit" class="press press-first w-full" :disabled="busy">
        <LogIn class="size-4" aria-hidden="true" /> Sign in
      </button>
      <button v-if="isSupported" type="button" class="press w-full" @click="byPasskey">
        <Fingerprint class="size-4" aria-hidden="true" /> Sign in with passkey
      </button>
    </form>
    <p class="text-xs text-ink-soft">
      No account, or forgotten your password? Ask a planner of your firm for a link.
    </p>
  </DoorFrame>
</template>
