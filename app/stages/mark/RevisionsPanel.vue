<script setup lang="ts">
import { groupAlike } from '~~/core/findings/alike'
import { Download } from 'lucide-vue-next'
import { saidToday } from '~~/core/job'
import { isAlike } from '~~/core/revision/difference'

/** What was issued, what differs since, and issuing the next revision. */
const store = useWallStore()
const { compared } = useSheetView()
const { upToDate } = useWallPlan()
const { stops, next } = useIssuing()
/** Stops that differ in place only count as one. */
const blocks = computed(() => groupAlike(stops.value).length)
const { system } = useUnits()
const issues = computed(() => [...store.revisions].reverse())
const last = computed(() => store.revisions.at(-1))
const { difference: since } = useDifference(() => last.value?.revision ?? '', () => MOMENT)
const { difference, failed } = useDifference(() => compared.value.from, () => compared.value.to)
const alike = computed(() => since.value !== undefined && isAlike(since.value))
const before = (revision: string) =>
  store.revisions[store.revisions.findIndex(each => each.revision === revision) - 1]?.revision
const compare = (from: string | undefined, to: string) => {
  compared.value
    = from === undefined || (compared.value.from === from && compared.value.to === to)
      ? { from: '', to: '' }
      : { from, to }
}
const file = computed(
  () =>
    `/api/sites/${store.site}/walls/${store.id}/difference`
    + `?from=${compared.value.from}&to=${compared.value.to}&units=${system.value}&format=`,
)
const withdrawing = ref('')
const reason = ref('')
const fault = ref('')
function withdraw(entry: string) {
  if (!reason.value.trim()) return void (fault.value = 'Enter a reason. It is kept in the log.')
  store.record({ kind: 'correction', corrects: entry, note: reason.value.trim() })
  withdrawing.value = reason.value = fault.value = ''
}
</script>

<template>
  <div class="space-y-2">
    <p class="text-sm" data-testid="issued-now">
      <template v-if="!last">
        Nothing is issued yet. Sheets are drafts until you issue a revision. Hang works from the issued revision.
      </template>
      <template v-else-if="alike">
        <b>Revision {{ last.revision }}</b> matches the current plan.
      </template>
      <template v-else-if="since">
        Since <b>revision {{ last.revision }}</b>: {{ since.moved.length }} marks moved, {{ since.added.length }} added,
        {{ since.gone.length }} removed.
        <button type="button" class="underline" @click="compare(last.revision, MOMENT)">
          {{ compared.to === MOMENT ? 'Hide changes' : 'Show changes' }}
        </button>
      </template>
    </p>
    <p
      v-if="stops.length"
      class="border-l-4 border-stop bg-stop-wash px-2 py-1 text-sm font-semibold text-stop"
      role="status"
      data-testid="issue-blocked"
    >
      {{ blocks === 1 ? 'A stop blocks' : `${blocks} stops block` }} this
      plan{{ stops.length > blocks ? ` at ${stops.length} places` : '' }}:
      revision {{ next }} can be issued once {{ blocks === 1 ? 'it is' : 'they are' }} cleared, or overridden by name.
    </p>
    <FindingList v-if="stops.length" class="max-h-56 overflow-y-auto" :findings="stops" tabindex="0" />
    <p v-else-if="!upToDate" class="text-sm text-ink-soft">
      Calculating the plan…
    </p>
    <IssueForm @issued="compared = { from: '', to: '' }" />
    <ol v-if="issues.length" class="divide-y divide-hair border-t border-hair" aria-label="Revisions">
      <li
        v-for="{ revision, by, at, note, entry, id } in issues"
        :key="entry"
        class="py-2 text-sm"
        :data-revision="revision"
      >
        <p>
          <b class="text-base">{{ revision }}</b> {{ whenOf(at) }},
          {{ by }}{{ note ? `: ${saidToday(note)}` : '' }}
        </p>
        <p v-if="!id" class="text-ink-soft">
          Issued before this program stored issued plans.
        </p>
        <div class="mt-1 flex flex-wrap gap-2">
          <button
            v-if="before(revision) && id"
            type="button"
            class="press !px-2"
            @click="compare(before(revision), revision)"
          >
            {{ compared.from === before(revision) && compared.to === revision ? 'Hide'
              : `Compare with ${before(revision)}` }}
          </button>
          <button
            v-if="entry === last?.entry && store.rights('wall.issue')"
            type="button"
            class="press !px-2"
            @click="withdrawing = withdrawing === entry ? '' : entry"
          >
            Withdraw…
          </button>
        </div>
        <form v-if="withdrawing === entry" class="mt-1 space-y-1" @submit.prevent="withdraw(entry)">
          <label class="block">Reason for withdrawing<input
            v-model="reason"
            class="field-input"
            autocomplete="off"
            maxlength="2000"
          ></label>
          <p v-if="fault" class="field-fault" role="alert">
            {{ fault }}
          </p>
          <button type="submit" class="press">
            Withdraw revision {{ revision }}
          </button>
        </form>
      </li>
    </ol>
    <section v-if="compared.from" class="border-t border-hair pt-2" aria-label="Comparison">
      <h2 class="text-sm font-semibold">
        From {{ compared.from }} to {{ compared.to === MOMENT ? 'the current plan' : compared.to }}
      </h2>
      <p v-if="failed" class="field-fault">
        {{ failed }}
      </p>
      <DifferenceList v-if="difference" class="max-h-72 overflow-y-auto" :difference="difference" tabindex="0" />
      <div class="mt-1 flex gap-2">
        <a
          v-for="format in ['pdf', 'csv']"
          :key="format"
          class="press !px-2"
          :href="`${file}${format}`"
          download
        ><Download class="size-4" aria-hidden="true" /> {{ format.toUpperCase() }}</a>
      </div>
    </section>
  </div>
</template>
