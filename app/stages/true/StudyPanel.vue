<script setup lang="ts">
import { MORE_TRAVEL, type Share } from '~~/core/study'

/**
 * How likely the wall is to close before anything is drilled: by either way of marking, what costs most, and what would
 * better it.
 */
const store = useWallStore()
const { trials, share, failed, current, subject, outdated, run, cancel } = useStudy()
const { fineWithUnit: far, showThin } = useUnits()
const StudyCharts = defineAsyncComponent(() => import('./StudyCharts.vue'))
const percent = (p: number) => `${p > 0.995 && p < 1 ? '> 99' : p < 0.005 && p > 0 ? '< 1' : Math.round(100 * p)} %`
/** Near all or none the decimals are what tells. */
const between = ({ low, high }: Share) =>
  [low, high].map(share => Number((100 * share).toFixed(low > 0.99 || high < 0.01 ? 2 : 1))).join(' to ') + ' %'
const house = computed(() => store.rules.measuring ?? 'running')
const TRIALS = [
  { value: '500', label: '500' },
  { value: '2000', label: '2,000' },
  { value: '10000', label: '10,000' },
]
const chooseTrials = (value: string) => {
  trials.value = Number(value)
  return []
}
/** What the screen that has least left can do either way. */
const has = (axis: 'x' | 'y' | 'depth') =>
  far(Math.min(...subject.value!.wall.screens.map(screen => Math.min(-screen[axis].least, screen[axis].most))))
const causes = computed(() => subject.value?.causes)
const NOT_KNOWN = {
  size: 'The display’s size tolerance is not in the catalogue: cases are assumed to be of exact size, out of square '
    + 'as the house rules say.',
  faces: 'Flatness was not surveyed: steps between faces are not part of this probability.',
}
const COSTS: Record<string, string> = {
  marking: 'marking errors',
  drilling: 'drilling errors',
  slack: 'plate play',
  size: 'unequal cases',
  faces: 'an uneven wall',
  squareness: 'cases out of square',
  slip: 'adjusters that slip back',
  gauge: 'gauge errors',
}
/** What would make the wall fail: the cause without which it would be within tolerance most often. */
const costliest = computed(() =>
  current.value?.study.causes.find(({ cause }) => !current.value!.notKnown.includes(cause as never)),
)
useCommands([{ id: 'study-run', title: 'Run tolerance study', group: 'True', run: () => void run() }])
</script>

<template>
  <div class="min-h-0 flex-1 space-y-2 overflow-y-auto" tabindex="0" role="group" aria-label="Tolerance study">
    <p class="text-sm">
      Simulates marking, drilling, hanging and truing this wall many times. How often is every seam within tolerance
      after two rounds of truing?
    </p>
    <p v-if="causes" class="text-xs text-ink-soft">
      Standard deviation: marking {{ showThin(causes.marking) }}, drilling {{ showThin(causes.drilling) }}. Plate play
      {{ showThin(causes.slack) }}. Adjusters slip {{ showThin(causes.slip ?? 0) }}, gauge
      {{ showThin(causes.gauge ?? 0) }}. Seam tolerance {{ showThin(subject!.wall.tolerance) }}. Set in the house rules.
    </p>
    <div class="grid grid-cols-[1fr_auto] items-end gap-2">
      <ChoiceField label="Simulated walls" :value="String(trials)" :options="TRIALS" :commit="chooseTrials" />
      <button
        v-if="share === undefined"
        type="button"
        class="press press-first max-md:!min-h-12"
        :disabled="!subject"
        @click="run"
      >
        {{ current ? 'Run again' : 'Run study' }}
      </button>
      <button v-else type="button" class="press max-md:!min-h-12" @click="cancel">Cancel</button>
    </div>
    <div
      v-if="share !== undefined"
      role="progressbar"
      class="h-2 overflow-hidden rounded bg-hair"
      aria-label="Study progress"
      :aria-valuenow="Math.round(100 * share)"
      aria-valuemin="0"
      aria-valuemax="100"
    >
      <div class="h-full bg-pine" :style="{ width: `${100 * share}%` }" />
    </div>
    <p v-if="failed" class="field-fault" role="alert">The study failed: {{ failed }}</p>
    <template v-if="current">
      <p v-if="outdated" class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm">
        The wall or the rules have changed: run the study again.
      </p>
      <dl class="grid grid-cols-2 gap-2" data-testid="study">
        <div
          v-for="way in [
            ['running', 'Marked from one datum', current.study.running],
            ['mark-to-mark', 'Marked mark to mark', current.study.markToMark],
          ] as const"
          :key="way[0]"
          class="rounded border p-2"
          :class="house === way[0] ? 'border-2 border-pine' : 'border-hair'"
        >
          <dt class="text-xs">{{ way[1] }}{{ house === way[0] ? ' (house rule)' : '' }}</dt>
          <dd class="figures text-3xl font-semibold" :data-way="way[0]">
            {{ percent(way[2].p) }}
          </dd>
          <dd class="text-xs text-ink-soft">95 % confidence: {{ between(way[2]) }}</dd>
        </div>
      </dl>
      <p v-if="current.study.markToMark.p > current.study.running.p + 0.01" class="text-sm">
        Marked mark to mark, neighbouring screens fit better, but errors add up: the last plates can miss the studs and
        the outline. Do not decide by the seams alone.
      </p>
      <p v-if="current.notKnown.includes('faces')" class="text-sm font-semibold" data-testid="gaps-only">
        Gaps only: steps between faces are not known.
      </p>
      <p v-if="costliest" class="text-sm" data-testid="costliest">
        What fails most often: {{ COSTS[costliest.cause] }}. Without
        {{ costliest.cause === 'gauge' ? 'them' : 'that' }}: {{ percent(costliest.p) }}.
      </p>
      <p class="text-sm" data-testid="within">
        19 walls out of 20 end within {{ showThin(current.study.within) }}.
      </p>
      <p class="text-sm" data-testid="needs">
        Adjustment required for 19 walls out of 20: lateral {{ far(current.study.needs.x) }} (this mount has
        {{ has('x') }}), height {{ far(current.study.needs.y) }} ({{ has('y') }}){{
          current.notKnown.includes('faces') ? '' : `, depth ${far(current.study.needs.depth)} (${has('depth')})`
        }}.
      </p>
      <StudyCharts :studied="current" />
      <p v-for="unknown in current.notKnown" :key="unknown" class="text-xs">
        <b>Not known:</b> {{ NOT_KNOWN[unknown] }}
      </p>
      <p class="text-xs text-ink-soft">
        “More travel” adds {{ far(MORE_TRAVEL) }} each way. Marking and drilling errors are normally distributed, plate
        play and case sizes uniformly. Adjusters are turned by eighths in two rounds, slip back a little, and seams are
        read by a gauge. Cases are out of square and roll.
      </p>
    </template>
  </div>
</template>
