<script setup lang="ts">
import type { AuditLine, AuditState, SessionSummary } from '~~/core/api/people'

/**
 * Devices that are signed in, to be ended where one is lost; and what was done about people, rights and what leaves the
 * house.
 */
const lines = ref<AuditLine[]>([])
const sessions = ref<SessionSummary[]>([])
const failed = ref('')
const state = ref<AuditState>()
const more = ref(false)
const PAGE = 200
async function read(before?: number) {
  const page = await api<AuditLine[]>(`/audit${before ? `?before=${before}` : ''}`)
  lines.value = [...lines.value, ...page]
  more.value = page.length === PAGE
}
try {
  [sessions.value, state.value] = await Promise.all([
    api<SessionSummary[]>('/audit/sessions'), api<AuditState>('/audit/state'), read(),
  ])
}
catch (error) {
  failed.value = (error as Error).message
}
const open = computed(() => sessions.value.filter(({ endedAt }) => endedAt === null))
/** What one can choose to see alone. */
const kinds = computed(() => [...new Set(lines.value.map(({ kind }) => kind))].sort())
const kind = ref('')
const shown = computed(() => lines.value.filter(line => kind.value === '' || line.kind === kind.value))
async function end({ id }: SessionSummary) {
  try {
    sessions.value = await api(`/audit/sessions/${id}`, { method: 'DELETE', body: {} })
    lines.value = []
    await read()
  }
  catch (error) {
    failed.value = (error as Error).message
  }
}
useHead({ title: 'Audit log · Wide Trellis' })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar :crumbs="[{ title: 'Sites', to: '/' }, { title: 'People', to: '/people' }, { title: 'Audit log' }]" />
    <main class="mx-auto w-full max-w-5xl flex-1 space-y-6 overflow-y-auto p-6" tabindex="0" aria-label="Audit log">
      <p v-if="failed" class="field-fault" role="alert">
        {{ failed }}
      </p>
      <section aria-labelledby="sessions">
        <h1 id="sessions" class="text-2xl font-bold">
          Signed-in devices
        </h1>
        <p class="text-sm text-ink-soft">
          If a device is lost, revoke its session. It locks as soon as it reaches the server, or after the number of
          offline days that the firm allows. Unsent work stays on the device until the next sign-in.
        </p>
        <ul class="mt-2 divide-y divide-hair border-y border-hair text-sm" data-testid="sessions">
          <li v-for="session in open" :key="session.id" class="flex items-center gap-3 py-2">
            <span class="min-w-0 flex-1"><b class="font-semibold">{{ session.name }}</b>,
              <span :title="session.device">{{ deviceWords(session.device) }}</span><span
                class="block text-ink-soft"
              >signed in {{ whenOf(session.beganAt) }}, last seen
                {{ whenOf(session.seenAt) }}</span></span>
            <button
              type="button"
              class="press"
              :aria-label="`Revoke the session of ${session.name}`"
              @click="end(session)"
            >
              Revoke
            </button>
          </li>
        </ul>
      </section>
      <section aria-labelledby="lines">
        <div class="flex flex-wrap items-end gap-4">
          <h2 id="lines" class="flex-1 text-2xl font-bold">
            Audit log
          </h2>
          <FieldFrame id="audit-kind" label="Show">
            <select id="audit-kind" v-model="kind" class="field-input">
              <option value="">
                all actions
              </option>
              <option v-for="each in kinds" :key="each" :value="each">
                {{ AUDIT_WORDS[each] ?? each }}
              </option>
            </select>
          </FieldFrame>
        </div>
        <template v-if="state">
          <p v-if="state.broken" class="mt-2 border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm" role="alert">
            Broken since {{ whenOf(state.broken.at) }}: line {{ state.broken.number }} is not as it was written.
          </p>
          <p v-else-if="state.lost" class="mt-2 border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm" role="alert">
            {{ state.lost }}. Lines were removed, or an older backup was restored.
          </p>
          <p v-else class="mt-1 text-sm text-ink-soft" data-testid="audit-chain">
            Intact: {{ state.lines }} lines, none changed or removed. Code:
            <b class="font-semibold whitespace-nowrap">{{ state.head }}</b>
          </p>
        </template>
        <div class="overflow-x-auto">
          <table class="mt-2 w-full text-left text-sm">
            <thead>
              <tr class="border-b border-hair">
                <th
                  v-for="title in ['Time', 'User', 'Action', 'Subject', 'Details']"
                  :key="title"
                  scope="col"
                  class="py-1 pr-4 font-semibold"
                >
                  {{ title }}
                </th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="line in shown" :key="line.key" class="border-b border-hair align-top">
                <td class="figures py-1 pr-4 whitespace-nowrap">
                  {{ whenOf(line.at) }}
                </td>
                <td class="py-1 pr-4 whitespace-nowrap">
                  {{ line.by }}
                </td>
                <td class="py-1 pr-4 whitespace-nowrap">
                  {{ AUDIT_WORDS[line.kind] ?? line.kind }}
                </td>
                <td class="py-1 pr-4">
                  {{ line.kind.startsWith('sign') ? deviceWords(line.subject) : line.subject }}
                </td>
                <td class="max-w-md py-1 break-words text-ink-soft">
                  {{ line.detail }}
                </td>
              </tr>
            </tbody>
          </table>
        </div>
        <button v-if="more" type="button" class="press mt-2" @click="read(lines.at(-1)!.key)">
          Show earlier entries
        </button>
      </section>
    </main>
  </div>
</template>
