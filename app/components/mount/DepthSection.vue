<script setup lang="ts">
import type { Behind, Carrier, Display, Mount } from '~~/core/job'
import type { Position } from '~~/core/mount'

/**
 * A screen cut through at its plate, to scale, the wall to the left: structure and covering, rail or
 * board, plate with its fasteners, mount drawn out by so much, display, plug with its cable, player.
 */
const { position, mount, display, out, carrier, behind = {} } = defineProps<{ position: Position, mount: Mount, display: Display, out: number, carrier?: Carrier, behind?: Behind }>()
const store = useWallStore()
const { show } = useUnits()
const { core, layers, face } = useBuildUp(() => store.shown)
const HATCH = { 'wood-stud': 'hatch-wood', 'steel-stud': 'hatch-steel', 'block': 'hatch-block', 'concrete': 'hatch-concrete' }

const off = computed(() => carrier?.thickness ?? 0)
const height = computed(() => position.outer.height)
/** From the top of the case: everything is drawn downwards from there, mm. */
const top = computed(() => position.outer.y + height.value)
const plateTop = computed(() => top.value - position.plate!.rect.y - mount.plate.height)
const furthest = computed(() => face.value + Math.max(mount.depth.service, mount.depth.stowed) + off.value + display.depth)
/** Only the last of a deep wall is drawn. */
const SHOWN = 120
const cut = computed(() => Math.max(core.value - SHOWN, 0))
const width = computed(() => furthest.value - cut.value + 60)
const MARGIN = 70
const back = computed(() => face.value + out)
const holes = computed(() => [...new Map((position.holes ?? []).map(hole => [hole.y, hole])).values()])
const rows = computed(() => mount.needs.rows.map(row => mount.plate.slots.find(slot => slot.row === row)?.y ?? 0).map(y => top.value - (position.plate!.centre.y + y)))
const middle = computed(() => plateTop.value + mount.plate.height / 2)
const moving = computed(() => mount.depth.service > mount.depth.stowed)
const bend = computed(() => (moving.value ? 4 : 2.5) * (behind.cable ?? 0))
/** The plug sits in the display's back, its cable bends away below it. */
const plugAt = computed(() => Math.min(middle.value + mount.plate.height * 0.34, height.value - 60))
</script>

<template>
  <svg :viewBox="`${cut - 20} ${-MARGIN} ${width + 40} ${height + 2 * MARGIN}`" class="max-h-72 w-full border border-hair bg-paper" role="img" :aria-label="`Section through R${position.row} C${position.column}`" data-testid="depth-section">
    <g stroke="var(--color-ink)" stroke-width="1">
      <rect :x="cut" :y="-MARGIN" :width="core - cut" :height="height + 2 * MARGIN" :fill="`url(#${HATCH[store.shown!.structure.kind]})`" vector-effect="non-scaling-stroke" />
      <rect v-for="(layer, n) in layers" :key="n" :x="layer.from" :y="-MARGIN" :width="layer.thickness" :height="height + 2 * MARGIN" :fill="`url(#${layer.hatch})`" vector-effect="non-scaling-stroke">
        <title>{{ layer.material }}</title>
      </rect>
      <template v-if="carrier?.kind === 'rail'">
        <rect v-for="(y, n) in rows" :key="n" :x="face" :y="y - (carrier.height ?? 41) / 2" :width="carrier.thickness" :height="carrier.height ?? 41" fill="var(--color-steel)" vector-effect="non-scaling-stroke" />
      </template>
      <rect v-else-if="carrier" :x="face" :y="plateTop - 60" :width="carrier.thickness" :height="mount.plate.height + 120" fill="url(#hatch-wood)" vector-effect="non-scaling-stroke" />
      <path v-for="hole in holes" :key="hole.id" :d="`M${face - (hole.depth ?? 40)} ${top - hole.y} H${face + off + 6}`" stroke="var(--color-good)" stroke-width="2.5" vector-effect="non-scaling-stroke" />
      <rect :x="face + off" :y="plateTop" :width="Math.max(mount.plate.thickness, 3)" :height="mount.plate.height" fill="var(--color-ink)" vector-effect="non-scaling-stroke" />
      <!-- The mount between plate and display: a scissor that opens, or a block that stays. -->
      <template v-if="moving">
        <path :d="`M${face + off} ${middle - 60} L${back} ${middle + 60} M${face + off} ${middle + 60} L${back} ${middle - 60}`" fill="none" stroke-width="2.5" vector-effect="non-scaling-stroke" data-part="scissor" />
        <path :d="`M${back - 4} ${middle - 130} V${middle + 130}`" stroke-width="3" vector-effect="non-scaling-stroke" />
      </template>
      <rect v-else :x="face + off" :y="middle - 70" :width="Math.max(out - off, 0)" height="140" fill="var(--color-rail)" vector-effect="non-scaling-stroke" />
      <rect v-if="behind.player" :x="back - behind.player" :y="middle - mount.plate.height * 0.42" :width="behind.player" height="90" fill="var(--color-glass)" vector-effect="non-scaling-stroke" data-part="player" />
      <g v-if="behind.plug" data-part="plug">
        <rect :x="back - behind.plug" :y="plugAt - 10" :width="behind.plug" height="20" :fill="behind.plug > out ? 'var(--color-stop)' : 'var(--color-chalk)'" vector-effect="non-scaling-stroke" />
        <path v-if="behind.cable" :d="`M${back - behind.plug} ${plugAt} a${bend} ${bend} 0 0 0 ${-bend} ${bend} V${height + MARGIN}`" fill="none" :stroke="behind.plug + bend > out ? 'var(--color-stop)' : 'var(--color-chalk)'" stroke-width="3" vector-effect="non-scaling-stroke" />
      </g>
      <rect :x="back" y="0" :width="display.depth" :height="height" fill="var(--color-case)" vector-effect="non-scaling-stroke" data-part="display" />
    </g>
    <g fill="var(--color-ink)" font-size="26" text-anchor="middle">
      <path :d="`M${face} ${height + 30} H${back}`" stroke="var(--color-ink)" stroke-width="1" vector-effect="non-scaling-stroke" />
      <text :x="Math.max((face + back) / 2, face + 24)" :y="height + 58" class="figures">{{ show(out) }}</text>
      <path :d="`M${face} -24 H${back + display.depth}`" stroke="var(--color-ink)" stroke-width="1" vector-effect="non-scaling-stroke" />
      <text :x="(face + back + display.depth) / 2" y="-34" class="figures">{{ show(out + display.depth) }}</text>
    </g>
  </svg>
</template>
