<script setup lang="ts">
import { MORE_TRAVEL, type Share } from '~~/core/study'

/** How likely the wall is to close before anything is drilled: by either way of marking, what costs most, and what would better it. */
const store = useWallStore()
const { trials, share, failed, current, subject, outdated, run, cancel } = useStudy()
const { showFine, suffix } = useUnits()
const StudyCharts = defineAsyncComponent(() => import('./StudyCharts.vue'))
const far = (mm: number) => `${showFine(mm)}${suffix.value ? ` ${suffix.value}` : ''}`
const percent = (p: number) => `${p > 0.995 && p < 1 ? '> 99' : p < 0.005 && p > 0 ? '< 1' : Math.round(100 * p)} %`
/** Near all or none the decimals are what tells. */
const between = ({ low, high }: Share) => [low, high].map(share => Number((100 * share).toFixed(low > 0.99 || high < 0.01 ? 2 : 1))).join(' to ') + ' %'
const house = computed(() => store.rules.measuring ?? 'running')
const TRIALS = [{ value: '1000', label: '1,000' }, { value: '10000', label: '10,000' }, { value: '100000', label: '100,000' }]
const chooseTrials = (value: string) => {
  trials.value = Number(value)
  return []
}
/** What the screen that has least left can do either way. */
const has = (axis: 'x' | 'y' | 'depth') => far(Math.min(...subject.value!.wall.screens.map(screen => Math.min(-screen[axis].least, screen[axis].most))))
const causes = computed(() => subject.value?.causes)
const NOT_KNOWN = { size: 'The sheet of the display gives no tolerance of its size: cases are taken to be true to it.', faces: 'The wall’s face was not surveyed for flatness: it is taken to be flat.' }
useCommands([{ id: 'study-run', title: 'Run the study of tolerances', group: 'True', run: () => void run() }])
</script>

<template>
  <div class="min-h-0 flex-1 space-y-2 overflow-y-auto" tabindex="0" role="group" aria-label="Study of tolerances">
    <p class="text-sm">
      So many walls like this one are drawn by chance, marked, drilled and hung; how many can the adjusters close?
    </p>
    <p v-if="causes" class="text-xs text-ink-soft">
      One σ of a mark {{ far(causes.marking) }}, of a drill {{ far(causes.drilling) }}; plates loose by {{ far(causes.slack) }}; a seam is closed within {{ far(subject!.wall.tolerance) }}. By the house rules.
    </p>
    <div class="grid grid-cols-[1fr_auto] items-end gap-2">
      <ChoiceField label="Walls drawn" :value="String(trials)" :options="TRIALS" :commit="chooseTrials" />
      <button v-if="share === undefined" type="button" class="press press-first max-md:!min-h-12" :disabled="!subject" @click="run">
        {{ current ? 'Run it again' : 'Run the study' }}
      </button>
      <button v-else type="button" class="press max-md:!min-h-12" @click="cancel">
        Cancel
      </button>
    </div>
    <div v-if="share !== undefined" role="progressbar" class="h-2 overflow-hidden rounded bg-hair" aria-label="How far the study is" :aria-valuenow="Math.round(100 * share)" aria-valuemin="0" aria-valuemax="100">
      <div class="h-full bg-pine" :style="{ width: `${100 * share}%` }" />
    </div>
    <p v-if="failed" class="field-fault" role="alert">
      The study failed: {{ failed }}
    </p>
    <template v-if="current">
      <p v-if="outdated" class="border-l-4 border-caution bg-caution-wash px-2 py-1 text-sm">
        The wall or the rules are others now: run it again.
      </p>
      <dl class="grid grid-cols-2 gap-2" data-testid="study">
        <div v-for="way in ([['running', 'Marked from one datum', current.study.running], ['mark-to-mark', 'From mark to mark', current.study.markToMark]] as const)" :key="way[0]" class="rounded border p-2" :class="house === way[0] ? 'border-2 border-pine' : 'border-hair'">
          <dt class="text-xs">
            {{ way[1] }}{{ house === way[0] ? ', the house rule' : '' }}
          </dt>
          <dd class="figures text-3xl font-semibold" :data-way="way[0]">
            {{ percent(way[2].p) }}
          </dd>
          <dd class="text-xs text-ink-soft">
            95 % sure: {{ between(way[2]) }}
          </dd>
        </div>
      </dl>
      <p v-if="current.study.markToMark.p > current.study.running.p + 0.01" class="text-sm">
        From mark to mark neighbours fit better, but each plate adds to the walk: the last ones leave the framing and the outline. The seams alone do not decide it.
      </p>
      <p class="text-sm" data-testid="needs">
        Travel that closes nineteen walls of twenty: sideways {{ far(current.study.needs.x) }} (this mount has {{ has('x') }}), up and down {{ far(current.study.needs.y) }} ({{ has('y') }}){{ current.notKnown.includes('faces') ? '' : `, in depth ${far(current.study.needs.depth)} (${has('depth')})` }}.
      </p>
      <StudyCharts :studied="current" />
      <p v-for="unknown in current.notKnown" :key="unknown" class="text-xs">
        <b>Not known:</b> {{ NOT_KNOWN[unknown] }}
      </p>
      <p class="text-xs text-ink-soft">
        “More travel” is {{ far(MORE_TRAVEL) }} more either way. Marks and drill are normal, plate slack and cases even; rows, columns and faces each by themselves. It tells whether the travel is enough; what an eighth of a turn and the gauge leave is told when the wall is trued.
      </p>
    </template>
  </div>
</template>
