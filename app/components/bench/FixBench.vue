<script setup lang="ts">
import { CASE_NAMES, fix } from '~~/core/fix'
import { rankFasteners } from '~~/core/fix/ranking'
import type { Fastener } from '~~/core/job'

/** Fix: which fastener holds the plates, how far each load uses it, and which screw goes into the display. */
const store = useWallStore()
const { plan, planned } = useWallPlan()
const { array } = useArray()
const { offeredOf, take } = useModelChoice()
const { system, showFine, suffix, tell } = useUnits()
const job = computed(() => ({ catalogue: store.catalogue, rules: store.rules }))
const wall = computed(() => planned.value ?? store.shown!)
const positions = computed(() => plan.value?.arrays.find(({ id }) => id === array.value?.id)?.positions ?? [])
const fixed = computed(() => array.value && fix(array.value, positions.value, wall.value, job.value))
/** Each pair of display and mount is held in its own way; the one that is used most is looked at first. */
const pairs = computed(() => [...fixed.value?.fixings ?? []].sort((a, b) => (b.cases[0]?.utilisation ?? Infinity) - (a.cases[0]?.utilisation ?? Infinity)))
const pair = ref('')
const keyOf = ({ display, mount }: { display: string, mount: string }) => `${display} ${mount}`
const fixing = computed(() => pairs.value.find(each => keyOf(each) === pair.value) ?? pairs.value[0])
const pairOptions = computed(() => pairs.value.map(each => ({ value: keyOf(each), label: `${each.count} × ${store.catalogue.displays.find(({ id }) => id === each.display)?.name} on ${store.catalogue.mounts.find(({ id }) => id === each.mount)?.name}` })))
const ranked = computed(() => array.value
  ? rankFasteners((offeredOf('fastener', array.value.fastener) as Fastener[]).filter(({ base }) => base === wall.value.structure.kind), array.value, positions.value, wall.value, job.value, system.value)
  : [])
const percent = (share: number) => `${Math.round(100 * share)} %`
function choose(id: string) {
  take('fastener', id)
  store.edit('Fastener', (wall) => { arrayOf(wall, array.value!.id).fastener = id })
}
const setLength = (key: 'screw' | 'spacer', label: string) => (mm: number | undefined) => store.edit(label, (wall) => {
  if (mm === undefined) Reflect.deleteProperty(arrayOf(wall, array.value!.id), key)
  else arrayOf(wall, array.value!.id)[key] = mm
})
const screw = computed(() => fixing.value?.screw)
const summary = computed(() => {
  const use = fixing.value?.cases[0]?.utilisation
  return fixing.value ? `Most used to ${use === undefined ? 'not known' : percent(use)}` : 'Nothing to fix yet'
})
const leaf = useState<'wall' | 'display'>('fix-leaf', () => 'wall')
const LEAVES = [{ id: 'wall', title: 'Into the wall' }, { id: 'display', title: 'Into the display' }] as const
useCommands(LEAVES.map(({ id, title }) => ({ id: `fix-${id}`, title: `Fix: ${title.toLowerCase()}`, group: 'Fix' as const, run: () => { leaf.value = id } })))
</script>

<template>
  <BenchFrame stage="fix" title="Fix" :summary="summary">
    <p v-if="!fixing" class="text-sm">
      Arrange the displays and choose a mount first.
    </p>
    <template v-else-if="array">
      <BenchLeaves v-model="leaf" :leaves="LEAVES" label="Sides of the mount" />
      <ChoiceField v-if="store.shown!.arrays.length > 1" inline label="Of" :value="array.id" :options="store.shown!.arrays.map(({ id, name }) => ({ value: id, label: name }))" :commit="(id) => { store.arrayId = id; return [] }" />
      <ChoiceField v-if="pairs.length > 1" label="For" :value="keyOf(fixing)" :options="pairOptions" :commit="(value) => { pair = value; return [] }" />
      <template v-if="leaf === 'wall'">
        <ul class="max-h-52 space-y-1 overflow-y-auto" tabindex="0" aria-label="Fasteners, the best first">
          <li v-for="{ fastener, utilisation, stop } in ranked" :key="fastener.id">
            <button type="button" class="w-full rounded border px-2 py-1 text-left text-sm" :class="fastener.id === array.fastener ? 'border-pine bg-paper font-semibold' : 'border-hair bg-paper'" :aria-pressed="fastener.id === array.fastener" :data-fastener="fastener.id" @click="choose(fastener.id)">
              <span class="flex justify-between gap-2"><span>{{ fastener.name ?? fastener.id }}</span><b class="figures shrink-0" :class="{ 'text-stop': stop }">{{ utilisation === undefined ? 'not known' : percent(utilisation) }}</b></span>
              <span v-if="stop" class="block text-xs font-normal text-stop">{{ stop }}</span>
            </button>
          </li>
        </ul>
        <div v-if="fixing.cases[0]" class="border-t border-hair" data-testid="governing">
          <h2 class="pt-1 text-sm font-semibold">
            Governs: {{ CASE_NAMES[fixing.cases[0].case] }}
          </h2>
          <FigureLine label="Tension on the top row’s fastener" :figure="fixing.cases[0].tension" />
          <FigureLine label="Shear on each" :figure="fixing.cases[0].shear" />
          <template v-if="fixing.cases[0].capacity">
            <FigureLine label="It bears in tension" :figure="fixing.cases[0].capacity.tension" />
            <FigureLine label="It bears in shear" :figure="fixing.cases[0].capacity.shear" />
            <p class="py-1 text-xs text-ink-soft">
              Together by {{ fixing.cases[0].capacity.together }}: {{ percent(fixing.cases[0].utilisation!) }}.
            </p>
          </template>
        </div>
        <ul class="text-sm" aria-label="Load cases">
          <li v-for="one in fixing.cases.slice(1)" :key="one.case" class="flex justify-between border-b border-hair py-0.5">
            <span>{{ CASE_NAMES[one.case] }}</span><b class="figures">{{ one.utilisation === undefined ? 'not known' : percent(one.utilisation) }}</b>
          </li>
        </ul>
      </template>
      <template v-else>
        <p class="text-sm" data-testid="screw-choice">
          <template v-if="screw?.fits">
            M{{ store.catalogue.displays.find(({ id }) => id === fixing!.display)!.vesa.thread }} × <b class="figures text-base">{{ showFine(screw.length) }}</b> {{ suffix }}, washers of {{ showFine(screw.stack.washers) }} in all; four for each display, {{ 4 * fixing.count }} for all of them.
          </template>
          <template v-else-if="screw">
            {{ tell(screw.why) }}.
          </template>
        </p>
        <ScrewSection v-if="screw?.range" :choice="screw" :chosen="array.screw" />
        <p class="text-xs text-ink-soft">
          Head, bracket with what lies under it, insert. The screw must end within the green.
        </p>
        <FigureLine v-if="screw?.range" label="Shortest that holds" fine :figure="screw.range.shortest" />
        <FigureLine v-if="screw?.range" label="Longest that is safe" fine :figure="screw.range.longest" />
        <div class="grid grid-cols-2 gap-3">
          <LengthField label="Another length" :value="array.screw" :actions="{ commit: setLength('screw', 'Screw into the display') }" />
          <LengthField label="Spacer, if any" :value="array.spacer" :actions="{ commit: setLength('spacer', 'Spacer') }" />
        </div>
        <button v-if="array.screw !== undefined" type="button" class="press w-full" @click="setLength('screw', 'Screw from the kit')(undefined)">
          Take the one from the kit
        </button>
      </template>
      <p class="text-xs text-ink-soft">
        Planning aid: the makers’ instructions, local code and a licensed engineer come first. Detect live cables before drilling.
      </p>
    </template>
  </BenchFrame>
</template>
