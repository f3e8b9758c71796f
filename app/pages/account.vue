<script setup lang="ts">
import type { PasskeySummary, SessionSummary } from '~~/core/api/people'
import { Fingerprint, LogOut, Trash2 } from 'lucide-vue-next'
import { ROLE_WORDS } from '~~/core/people'
import { deviceNameOf } from '~/stores/session'
import { countUnsent, forgetAll } from '~/sync/forget'
import { canSign } from '~/sync/signer'
import { useOutbox } from '~/sync/useOutbox'

/** One's own account: password, passkeys, the devices that are signed in, and signing out. */
const session = useSessionStore()
const { device, outbox } = useOutbox()
const account = ref<{ session: string, hasPassword: boolean, sessions: SessionSummary[], passkeys: PasskeySummary[] }>()
const failed = ref('')
async function read() {
  try {
    account.value = await api('/account')
  }
  catch (error) {
    failed.value = (error as Error).message
  }
}
await read()
const here = computed(() => account.value?.sessions.filter(({ endedAt }) => endedAt === null) ?? [])

/** What waits until the person has confirmed who he is, and where on the page it was asked for. */
const waiting = ref<{ part: 'passkeys' | 'password', act: () => Promise<void> }>()
async function goOn() {
  const { act } = waiting.value!
  waiting.value = undefined
  await act()
}

const password = reactive({ now: '', next: '' })
const faults = reactive({ now: '', next: '' })
const said = ref('')
async function setPassword() {
  faults.now = faults.next = said.value = ''
  try {
    await api('/account/password', { method: 'PUT', body: password })
    said.value = 'Password saved. Your other devices must sign in again.'
    password.now = password.next = ''
    await read()
  }
  catch (error) {
    const refused = error as ApiError
    if (refused.code === 'confirm') waiting.value = { part: 'password', act: setPassword }
    else if (refused.faults.length > 0) faults.next = refused.faults.map(({ message }) => `It ${message}.`).join(' ')
    else faults.now = refused.message
  }
}

const { isSupported, register } = useWebAuthn({ registerEndpoint: '/api/account/passkeys' })
const passkeyFault = ref('')
async function addPasskey() {
  passkeyFault.value = ''
  try {
    await register({ userName: session.person!.address, displayName: session.person!.name })
    await read()
  }
  catch (error) {
    const refused = (error as { data?: { error?: { code: string, message: string } } }).data?.error
    if (refused?.code === 'confirm') waiting.value = { part: 'passkeys', act: addPasskey }
    else passkeyFault.value = refused?.message ?? 'No passkey was created on this device.'
  }
}
async function removePasskey(id: string) {
  passkeyFault.value = ''
  try {
    account.value!.passkeys = await api(`/account/passkeys/${encodeURIComponent(id)}`, { method: 'DELETE', body: {} })
  }
  catch (error) {
    const { code, message } = error as ApiError
    if (code === 'confirm') waiting.value = { part: 'passkeys', act: () => removePasskey(id) }
    else passkeyFault.value = message
  }
}
/** Signs out every device but this one. */
async function endOthers() {
  account.value!.sessions = await api('/account/sessions', { method: 'DELETE', body: {} })
}
async function endSession(id: string) {
  account.value!.sessions = await api(`/account/sessions/${id}`, { method: 'DELETE', body: {} })
}

/** How much is unsent, where a person who signs out for good has to say what becomes of it. */
const unsent = ref<number>()
const leaving = ref('')
async function signOut() {
  try {
    await session.signOut()
    location.assign('/sign-in')
  }
  catch (error) {
    leaving.value = (error as Error).message
  }
}
async function signOutForGood(dropUnsent = false) {
  unsent.value = await countUnsent(device)
  if (unsent.value > 0 && !dropUnsent) return
  try {
    const name = deviceNameOf(session.firm!)
    await session.signOut()
    outbox.close()
    device.close()
    await forgetAll(name)
    location.assign('/sign-in')
  }
  catch (error) {
    leaving.value = (error as Error).message
  }
}
async function sendFirst() {
  await outbox.send()
  unsent.value = await countUnsent(device)
}
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'Your account' }]" />
    <main class="mx-auto w-full max-w-3xl flex-1 space-y-6 overflow-y-auto p-6" tabindex="0" aria-label="Your account">
      <header v-if="session.person">
        <h1 class="text-2xl font-bold">
          {{ session.person.name }}
        </h1>
        <p class="text-sm text-ink-soft">
          {{ session.person.address }}. {{ ROLE_WORDS[session.person.role].title }} of {{ session.firm!.name }}:
          {{ ROLE_WORDS[session.person.role].does }}.
        </p>
      </header>
      <CalendarAddress v-if="session.may('programme.read')" path="/account/calendar" of="your visits" />
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <template v-if="account">
        <section class="space-y-2" aria-labelledby="out">
          <h2 id="out" class="text-lg font-semibold">
            Sign out
          </h2>
          <p class="text-sm">
            <b>Sign out</b> on a shared device: unsent work stays on it until the next sign-in. <b>Sign out and erase
              data</b> removes all of the firm’s data from this device.
          </p>
          <div class="flex flex-wrap gap-2">
            <button type="button" class="press" @click="signOut">
              <LogOut class="size-4" aria-hidden="true" /> Sign out
            </button>
            <button type="button" class="press" @click="signOutForGood()">
              <Trash2 class="size-4" aria-hidden="true" /> Sign out and erase data
            </button>
          </div>
          <div
            v-if="unsent"
            class="space-y-2 border-l-4 border-stop bg-stop-wash px-3 py-2 text-sm"
            role="alert"
            data-testid="unsent-question"
          >
            <p>{{ unsent === 1 ? '1 change' : `${unsent} changes` }} made on this device
              {{ unsent === 1 ? 'is' : 'are' }} not sent yet. If you erase the data now, you lose
              {{ unsent === 1 ? 'it' : 'them' }}.</p>
            <div class="flex flex-wrap gap-2">
              <button type="button" class="press press-first" @click="sendFirst">
                Send now
              </button>
              <button type="button" class="press" @click="signOutForGood(true)">
                Discard {{ unsent === 1 ? 'it' : 'them' }} and sign out
              </button>
              <button type="button" class="press" @click="unsent = undefined">
                Cancel
              </button>
            </div>
          </div>
          <p v-else-if="unsent === 0" class="text-sm" role="status">
            Everything is sent.
          </p>
          <p v-if="leaving" class="field-fault" role="alert">
            {{ leaving }}
          </p>
        </section>
        <section class="space-y-2" aria-labelledby="devices">
          <h2 id="devices" class="text-lg font-semibold">
            Signed-in devices
          </h2>
          <ul class="divide-y divide-hair border-y border-hair text-sm">
            <li v-for="each in here" :key="each.id" class="flex items-center gap-3 py-2">
              <span class="min-w-0 flex-1"><span
                class="block truncate"
                :title="each.device"
              >{{ deviceWords(each.device) }}</span><span class="text-ink-soft">signed in
                {{ whenOf(each.beganAt) }}, last seen {{ whenOf(each.seenAt) }}</span></span>
              <span v-if="each.id === account.session" class="text-ink-soft">this device</span>
              <button v-else type="button" class="press" @click="endSession(each.id)">
                Sign out device
              </button>
            </li>
          </ul>
          <button v-if="here.length > 1" type="button" class="press" @click="endOthers">
            Sign out everywhere else
          </button>
          <p v-if="canSign()" class="text-sm text-ink-soft">
            This device signs what you record: if another person sends it later, it stays yours.
          </p>
          <p v-else class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm">
            This address is not secure (no https), so this device cannot sign what you record. Send it before you
            sign out: sent by another person it waits for a planner.
          </p>
        </section>
        <section class="space-y-2" aria-labelledby="passkeys">
          <h2 id="passkeys" class="text-lg font-semibold">
            Passkeys
          </h2>
          <p class="text-sm">
            A passkey signs you in with this device’s fingerprint, face or PIN lock.
          </p>
          <ul
            v-if="account.passkeys.length"
            class="divide-y divide-hair border-y border-hair text-sm"
            data-testid="passkeys"
          >
            <li v-for="{ id, name, madeAt } in account.passkeys" :key="id" class="flex items-center gap-3 py-2">
              <span class="min-w-0 flex-1 truncate">{{ deviceWords(name) }}<span class="text-ink-soft">,
                {{ whenOf(madeAt) }}</span></span>
              <button type="button" class="press" @click="removePasskey(id)">
                Remove
              </button>
            </li>
          </ul>
          <button v-if="isSupported" type="button" class="press" @click="addPasskey">
            <Fingerprint class="size-4" aria-hidden="true" /> Add passkey
          </button>
          <p v-else class="text-sm text-ink-soft">
            This browser does not support passkeys.
          </p>
          <ConfirmSelf
            v-if="waiting?.part === 'passkeys'" :has-password="account.hasPassword"
            :has-passkey="account.passkeys.length > 0" @confirmed="goOn" @cancelled="waiting = undefined"
          />
          <p v-if="passkeyFault" class="field-fault" role="alert">
            {{ passkeyFault }}
          </p>
        </section>
        <ConfirmSelf
          v-if="waiting?.part === 'password'" :has-password="account.hasPassword"
          :has-passkey="account.passkeys.length > 0" @confirmed="goOn" @cancelled="waiting = undefined"
        />
        <form class="space-y-2" aria-labelledby="password" novalidate @submit.prevent="setPassword">
          <h2 id="password" class="text-lg font-semibold">
            {{ account.hasPassword ? 'Change password' : 'Set a password' }}
          </h2>
          <FieldFrame v-if="account.hasPassword" id="password-now" label="Current password" :fault="faults.now">
            <input
              id="password-now"
              v-model="password.now"
              class="field-input"
              type="password"
              autocomplete="current-password"
              maxlength="200"
              :aria-invalid="faults.now !== ''"
            >
          </FieldFrame>
          <PasswordField id="password-next" v-model="password.next" label="New password" :fault="faults.next" />
          <button type="submit" class="press">
            Save password
          </button>
          <p v-if="said" class="text-sm" role="status">
            {{ said }}
          </p>
        </form>
      </template>
    </main>
  </div>
</template>
