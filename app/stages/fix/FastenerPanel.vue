<script setup lang="ts">
import { caseTitle } from '~~/core/fix'
import { coveringOf } from '~~/core/job'
import { isFramed } from '~~/core/survey'

/**
 * Into the wall: the fasteners that could hold the array, the best first, and what each load does to the one that is
 * chosen.
 */
const store = useWallStore()
const { array, fixing, ranked } = useFixing()
const { take } = useModelChoice()
const percent = (share: number) => `${Math.round(100 * share)} %`
function choose(id: string) {
  take('fastener', id)
  store.edit('Fastener', (wall) => {
    arrayOf(wall, array.value!.id).fastener = id
  })
}
/** Anchors through a covering bend over it, unless packers carry the plate. */
const packable = computed(() => !!store.wall && !isFramed(store.wall) && coveringOf(store.wall) > 0)
const mark = (flag: 'packers' | 'wireBare', title: string, on: boolean) =>
  store.edit(title, (wall) => {
    const its = arrayOf(wall, array.value!.id)
    if (on) its[flag] = true
    else Reflect.deleteProperty(its, flag)
  })
const standing = (inStock: boolean | undefined, onSite: boolean) =>
  [
    inStock === undefined ? 'stock not known' : inStock ? 'enough in stock' : 'not enough in stock',
    ...(onSite ? ['already on site'] : []),
  ].join(', ')
</script>

<template>
  <div v-if="array && fixing" class="space-y-2.5">
    <ul
      class="space-y-1 overflow-y-auto"
      :class="fixing.rail ? 'max-h-20' : 'max-h-24'"
      tabindex="0"
      aria-label="Fasteners, best first"
    >
      <li v-for="{ fastener, utilisation, stop, inStock, onSite } in ranked" :key="fastener.id">
        <button
          type="button"
          class="w-full rounded border px-2 py-1 text-left text-sm"
          :class="fastener.id === array.fastener ? 'border-pine bg-paper font-semibold' : 'border-hair bg-paper'"
          :aria-pressed="fastener.id === array.fastener"
          :data-fastener="fastener.id"
          @click="choose(fastener.id)"
        >
          <span class="flex justify-between gap-2"><span>{{ fastener.name ?? fastener.id }}</span><b
            class="figures shrink-0"
            :class="{ 'text-stop': stop }"
          >{{
            utilisation === undefined ? 'not known' : percent(utilisation)
          }}</b></span>
          <span v-if="stop" class="block text-xs font-normal text-stop">{{ stop }}</span>
          <span v-else class="block text-xs font-normal text-ink-soft">{{ standing(inStock, onSite) }}</span>
        </button>
      </li>
    </ul>
    <label v-if="packable" class="flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        class="size-5"
        :checked="array.packers === true"
        @change="mark('packers', 'Packers', ($event.target as HTMLInputElement).checked)"
      >
      Packers or spacer sleeves under each fastener
    </label>
    <div v-if="fixing.cases[0]" class="border-t border-hair" data-testid="governing">
      <h2 class="pt-1 text-sm font-semibold">
        Governing case: {{ fixing.cases[0].name }}, {{ caseTitle(fixing.cases[0].case) }}
      </h2>
      <FigureLine label="Tension" :figure="fixing.cases[0].tension" />
      <FigureLine label="Shear" :figure="fixing.cases[0].shear" />
      <template v-if="fixing.cases[0].allowable">
        <FigureLine label="Allowable tension" :figure="fixing.cases[0].allowable.tension" />
        <FigureLine label="Allowable shear, same direction" :figure="fixing.cases[0].allowable.shear" />
        <p class="py-1 text-xs text-ink-soft">
          Utilisation, {{ fixing.cases[0].allowable.together }}: {{ percent(fixing.cases[0].utilisation!) }}.
        </p>
      </template>
    </div>
    <p v-if="fixing.waiting > 0" class="text-sm font-semibold" data-testid="fix-waits">
      {{
        fixing.waiting === fixing.count
          ? 'No load calculated yet'
          : `${fixing.waiting} of ${fixing.count} screens have no load yet`
      }}: in Mount, fix {{ fixing.waiting === 1 ? 'the plate' : 'the plates' }} first.
    </p>
    <ul class="max-h-14 overflow-y-auto text-sm" tabindex="0" aria-label="Load cases">
      <li
        v-for="one in fixing.cases.slice(1)"
        :key="one.case"
        class="flex justify-between gap-2 border-b border-hair py-0.5"
      >
        <span>{{ caseTitle(one.case) }}{{ one.name === fixing.cases[0]!.name ? '' : `, ${one.name}` }}</span>
        <b class="figures shrink-0">{{ one.utilisation === undefined ? 'not known' : percent(one.utilisation) }}</b>
      </li>
    </ul>
    <FigureLine
      v-if="fixing.rail"
      :label="`Rail bending${fixing.rail.utilisation === undefined ? '' : `, ${percent(fixing.rail.utilisation)}`}`"
      :figure="fixing.rail.figure"
    />
    <label v-if="fixing.wire" class="flex items-center gap-2 text-sm">
      <input
        type="checkbox"
        class="size-5"
        :checked="array.wireBare === true"
        @change="mark('wireBare', 'Covering at safety wires', ($event.target as HTMLInputElement).checked)"
      >
      Covering cut away at the safety wires’ anchors
    </label>
    <FigureLine
      v-if="fixing.wire"
      :label="`Safety wire in a fall, ${percent(fixing.wire.utilisation)}`"
      :figure="fixing.wire.force"
    />
  </div>
</template>
