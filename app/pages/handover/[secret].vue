<script setup lang="ts">
import { FileText } from 'lucide-vue-next'
import type { ClientView } from '~~/core/close'
import { newId } from '~/utils/newId'

/** What a client reads and signs through a link, without an account. */
const secret = useRoute().params.secret as string
const base = `/handover/${encodeURIComponent(secret)}`
const view = ref<ClientView & { client: string, expiresAt: string }>()
const failed = ref('')
const form = reactive({ name: '', role: '', remark: '' })
const ink = ref<number[][]>([])
const fault = ref('')
const done = ref(false)
/** The same signature sent twice is one. */
const id = newId()
async function read() {
  try {
    view.value = await api(base)
  }
  catch (error) {
    failed.value = (error as Error).message
  }
}
await read()
async function sign() {
  if (!form.name.trim()) return void (fault.value = 'Enter your name.')
  if (ink.value.length === 0) return void (fault.value = 'Sign in the box.')
  try {
    await api(`${base}/sign`, {
      method: 'POST',
      body: { id, name: form.name, role: form.role, ink: ink.value, remark: form.remark },
    })
    done.value = true
    await read()
  }
  catch (error) {
    const { faults, message } = error as ApiError
    fault.value = faults.length > 0 ? faults.map(each => each.message).join(' ') : message
  }
}
const picture = computed(() => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(view.value?.picture ?? '')}`)
useHead({ title: () => view.value ? `${view.value.wall}, handover` : 'Handover' })
</script>

<template>
  <div class="h-full overflow-y-auto">
    <header class="bg-bar px-4 py-3 text-on-bar">
      <p class="mx-auto max-w-3xl font-semibold">
        Wide Trellis
      </p>
    </header>
    <main class="mx-auto max-w-3xl space-y-6 p-4">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <template v-else-if="view">
        <div>
          <h1 class="text-2xl font-bold">
            {{ view.wall }}, {{ view.site }}
          </h1>
          <p class="text-sm text-ink-soft">
            For {{ view.client }}. {{ view.screens }} screens. This page is available until
            {{ whenOf(view.expiresAt) }}.
          </p>
        </div>
        <img
          :src="picture"
          :alt="`The wall as built, ${view.screens} screens`"
          class="w-full border border-hair bg-white"
        >
        <a
          class="press"
          :href="`/api${base}/pdf`"
          download
          data-testid="client-pdf"
        ><FileText class="size-4" aria-hidden="true" /> Download handover pack (PDF)</a>
        <section aria-label="Open items">
          <h2 class="font-semibold">
            Open items
          </h2>
          <p v-if="view.missing.length + view.points.length === 0" class="text-sm">
            None.
          </p>
          <ul class="ml-4 list-disc text-sm">
            <li
              v-for="(each, n) in view.missing"
              :key="n"
              :class="{ 'font-semibold text-stop': each.severity === 'stop' }"
            >
              {{ each.what }}
            </li>
            <li v-for="(point, n) in view.points" :key="`p${n}`">
              {{ point.what }}: {{ point.owner }}, due {{ point.due }}
            </li>
          </ul>
        </section>
        <section aria-label="Cautions">
          <h2 class="font-semibold">
            Please note
          </h2>
          <ul class="ml-4 list-disc text-sm">
            <li v-for="(caution, n) in view.cautions" :key="n">
              {{ caution }}
            </li>
            <li>Inspection every {{ view.inspection.every }}
              months{{ view.inspection.due ? `, next due ${view.inspection.due}` : ' from today' }}.</li>
          </ul>
        </section>
        <section v-if="view.signatures.length" aria-label="Signed">
          <h2 class="font-semibold">
            Signed
          </h2>
          <ul class="text-sm">
            <li v-for="(each, n) in view.signatures" :key="n" data-testid="client-signature">
              {{ each.name }}{{ each.role ? `, ${each.role}` : '' }}, {{ whenOf(each.at) }}
            </li>
          </ul>
        </section>
        <p v-if="done" class="border-l-4 border-good bg-good-wash px-3 py-2" role="status">
          <b>Thank you.</b> Your signature is recorded in the log of the wall.
        </p>
        <form v-else class="space-y-2" novalidate @submit.prevent="sign">
          <h2 class="font-semibold">
            Sign
          </h2>
          <div class="grid gap-2 sm:grid-cols-2">
            <label class="text-sm">Your name<input
              v-model="form.name"
              class="field-input"
              autocomplete="name"
              maxlength="200"
              @input="fault = ''"
            ></label>
            <label class="text-sm">Role<input
              v-model="form.role"
              class="field-input"
              autocomplete="organization-title"
              maxlength="200"
            ></label>
          </div>
          <label class="block text-sm">Remarks (optional)<textarea
            v-model="form.remark"
            rows="3"
            class="field-input w-full"
            maxlength="2000"
          /></label>
          <SignatureField v-model="ink" @update:model-value="fault = ''" />
          <p v-if="fault" class="field-fault" role="alert">
            {{ fault }}
          </p>
          <button type="submit" class="press press-first w-full !min-h-12">
            Sign off
          </button>
        </form>
      </template>
    </main>
  </div>
</template>
