<script setup lang="ts">
import { roomOf, ROOMS } from '~/stages'
import type { Bench } from '~/stages/stage'
import { openWall } from '~/sync/openWall'
import { useWallSync } from '~/sync/useWallSync'

/** A wall: the stages on the plumb line, the bench of the one that is worked on, and the drawing. */
definePageMeta({ key: route => `${String(route.params.site)}/${String(route.params.wall)}` })
const route = useRoute()
const { site, wall: wallId } = route.params as { site: string, wall: string }
const base = `/sites/${site}/walls/${wallId}`
const room = computed(() => roomOf(route.params.stage))

const store = useWallStore()
const session = useSessionStore()
store.rights = action => session.may(action, site)
const failed = ref('')
const settled = ref(false)
const fail = (error: unknown): undefined => void (failed.value = (error as Error).message)
const opening = openWall(site, wallId).catch(fail)
// What is not drawn before it can be worked on need not wait for the drawing.
if (room.value.onlyCurrent) void Promise.allSettled([store.prepare(), ...room.value.parts.map(part => part())])
const settingUp = useStageCanvas(() => room.value)
const canvas = await settingUp
const opened = await opening
opened?.settled.then(() => { settled.value = true }, fail)
opened?.answered.catch(fail)
// Anyone who left, or was sent to the door, while the wall was read has no page for anything to begin on.
if (!getCurrentScope()?.active) await new Promise(() => {})
const { state, reason, waiting, resolve } = useWallSync()
const { kept } = useWallPlan()
watchEffect(() => {
  const drawing = room.value.onlyCurrent ? undefined : opened?.drawing
  kept.value = drawing && { site, wall: wallId, plan: drawing.plan }
})
const stands = useDrawingStands()
watch(stands, (stands) => { if (stands) void untilFetched(store.prepare) }, { immediate: true })
/** Whether the wall can be worked on: it is as the server has it, and what checks an edit is at hand. */
const ready = computed(() => stands.value && settled.value && store.isReady)
useEveryStage()
useWallCommands(site, base)
const bench = useTemplateRef<Bench>('bench')
watch(room, () => store.cancelPreview())
const crumbs = computed(() => [
  { title: 'Sites', to: '/' },
  { title: store.server?.job.site.name ?? site, to: `/sites/${site}` },
  { title: store.shown?.name ?? wallId },
])
useHead({ title: () => `${store.shown?.name ?? 'Wall'} · Wide Trellis` })
</script>

<template>
  <div class="flex h-full flex-col">
    <TopBar
      :crumbs="crumbs"
    >
      <select
        class="h-9 rounded border border-on-bar-soft bg-bar px-2 text-sm md:hidden"
        aria-label="Stage"
        :value="room.id"
        @change="navigateTo(`${base}/${($event.target as HTMLSelectElement).value}`)"
      >
        <option v-for="{ id, title } in ROOMS" :key="id" :value="id">
          {{ title }}
        </option>
      </select>
      <NuxtLink
        :to="`${base}/rules`"
        no-prefetch
        class="hidden shrink-0 text-sm text-on-bar-soft hover:underline md:inline"
      >House rules</NuxtLink>
    </TopBar>
    <WallUnopened v-if="failed" :why="failed" />
    <template v-else-if="store.wall">
      <ConflictBanner v-if="store.conflict" @resolve="resolve" />
      <LazyLostBanner v-if="store.lost.length > 0" />
      <main class="wall-frame min-h-0 flex-1" :data-stage="room.id">
        <PlumbLine :current="room.id" :base="base" class="plumb" />
        <div class="bench min-h-0 border-x border-hair bg-board" :inert="!!store.conflict && room.id !== 'hang'">
          <component :is="room.bench" v-if="ready" ref="bench" />
        </div>
        <div class="cross min-h-0 min-w-0">
          <component :is="canvas.inPlace" v-if="canvas?.inPlace" />
          <WallDrawing
            v-else-if="canvas && (ready || !room.onlyCurrent)"
            :canvas="canvas"
            @pointed="bench?.pointed?.($event)"
            @drawn="bench?.drawn?.($event)"
          >
            <component :is="room.ledger" v-if="ready" />
          </WallDrawing>
        </div>
      </main>
      <StatusLine :state="state" :reason="reason" :count="waiting.count" :data-unsaved="state !== 'saved'" />
    </template>
  </div>
</template>
