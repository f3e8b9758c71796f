<script setup lang="ts">
import { useElementSize } from '@vueuse/core'
import { choiceName, heightOfRow } from '~~/core/job'
import { mountModels, type Position } from '~~/core/mount'

/**
 * A column of screens cut through at its plates, to scale, the wall to the left and the room to the
 * right, about the screen that is looked at: structure and covering, rail or board, plate with its
 * fasteners, mount, display, plug with its cable, player. The row that is pulled out stands out.
 */
const store = useWallStore()
const { array, positions, position } = usePlates()
const { planned } = useWallPlan()
const { show, showFine } = useUnits()
const { pulled } = usePulled()
const frame = useTemplateRef<HTMLElement>('frame')
const { width, height } = useElementSize(frame)
const wall = computed(() => planned.value ?? store.shown!)
const { core, layers, face } = useBuildUp(() => wall.value)
/** Only so much of a deep wall's structure is drawn, mm. */
const SHOWN = 110

const carrier = computed(() => array.value?.carrier)
const behind = computed(() => array.value?.behind ?? {})
const off = computed(() => carrier.value?.thickness ?? 0)
const column = computed(() => {
  const mountOf = array.value && mountModels(array.value, store.catalogue)
  return positions.value.filter(({ column }) => column === position.value?.column).flatMap((each) => {
    const [display, mount] = [store.catalogue.displays.find(({ id }) => id === each.model), mountOf?.(each)]
    if (!display || !mount || !each.plate) return []
    const share = each.row === position.value!.row ? pulled.value : 0
    const out = off.value + mount.depth.stowed + share * (mount.depth.service - mount.depth.stowed)
    const slots = mount.needs.rows.map(row => each.plate!.centre.y + heightOfRow(mount, row))
    return [
      {
        ...each,
        display: { ...each.display, depth: display.depth },
        mount,
        plate: each.plate,
        out,
        slots,
        drilled: heights(each),
        chosen: each.id === position.value!.id,
        moves: mount.depth.service > mount.depth.stowed,
      },
    ]
  })
})
function heights({ holes = [] }: Position) {
  return [...new Map(holes.map(hole => [Math.round(hole.y), hole])).values()]
}
const chosen = computed(() => column.value.find(({ chosen }) => chosen))
const cut = computed(() => Math.max(core.value - SHOWN, 0))
/**
 * What is in sight, mm: the chosen screen with a good part of its neighbours, from within the wall to the farthest
 * face.
 */
const sight = computed(() => {
  const { outer } = position.value!
  const past = Math.min(outer.height * 0.28, 260)
  const farthest = Math.max(
    ...column.value.map(({ mount, display }) => Math.max(mount.depth.service, mount.depth.stowed) + display.depth),
    100,
  )
  return {
    left: cut.value - 30,
    right: face.value + off.value + farthest + 120,
    bottom: outer.y - past,
    top: outer.y + outer.height + past,
  }
})
const scale = computed(() =>
  Math.min(width.value / (sight.value.right - sight.value.left), height.value / (sight.value.top - sight.value.bottom)),
)
/** In the middle of what room there is. */
const aside = computed(() => Math.max(width.value - (sight.value.right - sight.value.left) * scale.value, 0) / 2)
const px = (z: number) => aside.value + (z - sight.value.left) * scale.value
const py = (y: number) => (sight.value.top - y) * scale.value
const bend = (moves: boolean) => (moves ? 4 : 2.5) * (behind.value.cable ?? 0)
const plugAt = computed(() => chosen.value ? chosen.value.plate.centre.y - chosen.value.mount.plate.height * 0.3 : 0)
const title = computed(() =>
  position.value ? `Section through column ${position.value.column} at R${position.value.row}` : '',
)
/** A hole with its fastener in the wall, to the face of what lies on it. */
const drivenOf = ({ depth = 40, y }: { depth?: number, y: number }, proud: number) =>
  `M${px(face.value - depth)} ${py(y)} H${px(face.value + proud + 7)}`
/** One of the crossed links of a mount that opens: it begins so far above the plate's centre, and ends so far below. */
const linkOf = ({ plate, out }: (typeof column.value)[number], rise: number) =>
  `M${px(face.value + off.value)} ${py(plate.centre.y + rise)} L${px(face.value + out)} ${py(plate.centre.y - rise)} `
/** A cable out of its plug, in a bend and down. */
const cableFrom = (z: number, radius: number) =>
  `M${px(z)} ${py(plugAt.value)} a${radius} ${radius} 0 0 0 ${-radius} ${radius} V${height.value}`
</script>

<template>
  <div class="flex h-full min-h-0 flex-col bg-wall">
    <p class="px-3 pt-2 text-sm text-ink-soft">
      {{ title }}, to scale; wall on the left.
    </p>
    <div ref="frame" class="min-h-0 flex-1">
      <svg
        v-if="chosen && width > 0"
        :width="width"
        :height="height"
        role="img"
        :aria-label="title"
        class="block overflow-hidden"
        data-testid="depth-section"
      >
        <DraftHatches />
        <g stroke="var(--color-ink)" stroke-width="1">
          <rect
            :x="px(cut)"
            y="0"
            :width="(core - cut) * scale"
            :height="height"
            :fill="`url(#${STRUCTURE_HATCHES[wall.structure.kind]})`"
          />
          <rect
            v-for="(layer, n) in layers"
            :key="n"
            :x="px(layer.from)"
            y="0"
            :width="layer.thickness * scale"
            :height="height"
            :fill="`url(#${layer.hatch})`"
          >
            <title>{{ layer.material }}</title>
          </rect>
          <g v-for="one in column" :key="one.id">
            <template v-if="carrier?.kind === 'rail'">
              <rect
                v-for="y in one.slots"
                :key="y"
                :x="px(face)"
                :y="py(y + (carrier.height ?? 41) / 2)"
                :width="off * scale"
                :height="(carrier.height ?? 41) * scale"
                fill="var(--color-edge)"
                data-part="rail"
              />
            </template>
            <rect
              v-else-if="carrier"
              :x="px(face)"
              :y="py(one.plate.centre.y + one.mount.plate.height / 2 + 60)"
              :width="off * scale"
              :height="(one.mount.plate.height + 120) * scale"
              fill="url(#hatch-wood)"
              data-part="board"
            />
            <path
              v-for="hole in one.drilled"
              :key="hole.id"
              :d="drivenOf(hole, carrier ? off : one.mount.plate.thickness)"
              stroke="var(--color-good)"
              stroke-width="3"
            />
            <rect
              :x="px(face + off)"
              :y="py(one.plate.centre.y + one.mount.plate.height / 2)"
              :width="Math.max(one.mount.plate.thickness * scale, 2)"
              :height="one.mount.plate.height * scale"
              fill="var(--color-ink)"
            />
            <!-- The mount: crossed links that open, or a block that stays. -->
            <template v-if="one.moves">
              <path
                :d="linkOf(one, 70) + linkOf(one, -70)"
                fill="none"
                stroke-width="3"
              />
              <path
                :d="`M${px(face + one.out) - 2} ${py(one.plate.centre.y + 130)} V${py(one.plate.centre.y - 130)}`"
                stroke-width="4"
              />
            </template>
            <rect
              v-else
              :x="px(face + off)"
              :y="py(one.plate.centre.y + 70)"
              :width="Math.max((one.out - off) * scale, 0)"
              :height="140 * scale"
              fill="var(--color-rail)"
            />
            <rect
              :x="px(face + one.out)"
              :y="py(one.outer.y + one.outer.height)"
              :width="one.display.depth * scale"
              :height="one.outer.height * scale"
              fill="var(--color-case)"
              :stroke="one.chosen ? 'var(--color-flag)' : 'var(--color-ink)'"
              :stroke-width="one.chosen ? 2 : 1"
            />
          </g>
          <g v-if="behind.player" data-part="player">
            <rect
              :x="px(face + chosen.out - behind.player)"
              :y="py(chosen.plate.centre.y + chosen.mount.plate.height * 0.42)"
              :width="behind.player * scale"
              :height="90 * scale"
              fill="var(--color-glass)"
            />
          </g>
          <g v-if="behind.plug" data-part="plug">
            <rect
              :x="px(face + chosen.out - behind.plug)"
              :y="py(plugAt + 11)"
              :width="behind.plug * scale"
              :height="22 * scale"
              :fill="behind.plug > chosen.out ? 'var(--color-stop)' : 'var(--color-chalk)'"
            />
            <path
              v-if="behind.cable"
              :d="cableFrom(face + chosen.out - behind.plug, bend(chosen.moves) * scale)"
              fill="none"
              :stroke="behind.plug + bend(chosen.moves) > chosen.out ? 'var(--color-stop)' : 'var(--color-chalk)'"
              :stroke-width="Math.max(behind.cable * scale, 2)"
            />
          </g>
        </g>
        <!-- Lengths from the wall's face. -->
        <g font-size="15" class="figures" text-anchor="middle" fill="var(--color-ink)" stroke="none">
          <g
            v-for="[to, y, text] in [[chosen.out, py(chosen.outer.y) + 24, show(chosen.out)],
                                     [chosen.out + chosen.display.depth, py(chosen.outer.y + chosen.outer.height) - 14,
                                      show(chosen.out + chosen.display.depth)]] as const"
            :key="y"
          >
            <path
              :d="`M${px(face)} ${y} H${px(face + to)} M${px(face)} ${y - 5} v10 M${px(face + to)} ${y - 5} v10`"
              stroke="var(--color-ink)"
              stroke-width="1"
              fill="none"
            />
            <text
              :x="(px(face) + px(face + to)) / 2"
              :y="y - 5"
              paint-order="stroke"
              stroke="var(--color-wall)"
              stroke-width="4"
            >{{ text }}</text>
          </g>
          <template v-if="chosen.outer">
            <text
              :x="px(face + chosen.out + chosen.display.depth) + 10"
              :y="py(chosen.plate.centre.y)"
              text-anchor="start"
            >R{{ chosen.row }} C{{ chosen.column }}, {{ showFine(chosen.display.depth) }} deep</text>
            <text
              v-if="behind.plug"
              :x="px(face + chosen.out + chosen.display.depth) + 10"
              :y="py(plugAt) + 5"
              text-anchor="start"
            >plug {{ showFine(behind.plug) }}{{ behind.cable ? `, bend ${showFine(bend(chosen.moves))}` : '' }}</text>
            <text
              v-if="behind.player"
              :x="px(face + chosen.out + chosen.display.depth) + 10"
              :y="py(chosen.plate.centre.y + chosen.mount.plate.height * 0.42) + 16"
              text-anchor="start"
            >player {{ showFine(behind.player) }}</text>
          </template>
        </g>
        <g font-size="12" fill="var(--color-ink-soft)" text-anchor="end">
          <text
            v-for="(layer, n) in layers"
            :key="n"
            :transform="`translate(${px(layer.from + layer.thickness / 2) + 4} 12) rotate(-90)`"
          >{{ choiceName(layer.material) }} {{ showFine(layer.thickness) }}</text>
        </g>
      </svg>
    </div>
  </div>
</template>
