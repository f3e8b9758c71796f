<script setup lang="ts">
import { Download, Plus } from 'lucide-vue-next'
import { itemName } from '~~/core/job'
import { isCord } from '~~/core/wire'

/** Where signal comes from and by which cables, and what is printed of the wiring. */
const store = useWallStore()
const { plan } = useWallPlan()
const { system, show, withUnit } = useUnits()
const { selectedOf } = useSelection()
const { fine } = usePreferences()
const sources = computed(() =>
  (store.wall?.sources ?? []).filter(({ kind }) => kind === 'player' || kind === 'network'),
)
const cables = computed(() => plan.value?.wiring.cables ?? [])
const cable = computed(() => cables.value.find(({ id }) => id === selectedOf('cable')))
const plates = computed(() =>
  (store.wall?.features ?? []).filter(
    ({ kind, id }) => kind === 'data-plate' && !sources.value.some(({ feature }) => feature === id),
  ),
)
/** Names the data plate on the wall that is taken, by its name and place. */
const addPlate = computed(() => plates.value[0]
  ? `Use data plate ${itemName(plates.value[0])}, ${withUnit(plates.value[0].x)} from wall left`
  : 'Add data plate')
const add = (kind: 'player' | 'network', feature?: string) =>
  store.edit(kind === 'player' ? 'Add player' : 'Add data plate', wall =>
    addSource(wall, kind, store.siteUnits, feature),
  )
useCommands([{ id: 'add-player', title: 'Add player or rack', group: 'Wire', run: () => { add('player') } }])
const { panel } = useWire()
/** Whether a cable brings power, so that it is chosen with its circuit. */
const feeds = (kind: string) => kind === 'power' || isCord(kind)
const address = (as: string) =>
  `/api/sites/${store.site}/walls/${store.id}/wiring?as=${as}&units=${system.value}&fine=${fine.value ? 1 : 0}`
const FILES = [
  { as: 'electrician', title: 'Electrician’s sheet' },
  { as: 'schedule', title: 'Schedule CSV' },
  { as: 'labels', title: 'Cable labels' },
]
</script>

<template>
  <div class="space-y-2.5">
    <p v-if="sources.length === 0" class="text-sm">
      Add the sources of picture and data: a player or rack, on the wall or elsewhere, or a data plate.
    </p>
    <div
      v-if="sources.length > 0"
      class="max-h-36 space-y-2 overflow-y-auto"
      tabindex="0"
      role="group"
      aria-label="Players and data plates"
    >
      <SignalSource v-for="source in sources" :key="source.id" :source="source" />
    </div>
    <div class="grid grid-cols-[5fr_6fr] gap-2">
      <button type="button" class="press !px-2" @click="add('player')">
        <Plus class="size-4" aria-hidden="true" /> Add player
      </button>
      <button type="button" class="press !px-2" @click="add('network', plates[0]?.id)">
        <Plus class="size-4" aria-hidden="true" /> {{ addPlate }}
      </button>
    </div>
    <div v-if="cables.length > 0" class="border-t border-hair pt-2">
      <template v-if="cable">
        <FigureLine :label="`${cable.kind}: ${cable.from} to ${cable.to}`" :figure="cable.needed" />
        <p class="text-sm" data-testid="cable-card">
          {{ cable.model ? `${cable.model.name ?? cable.model.id}, ${show(cable.taken ?? cable.needed.value)}`
            : 'No cable in the catalogue fits.' }}{{ cable.model && !cable.model.plug ? ' off the reel' : '' }}
        </p>
        <button v-if="!cable.model && feeds(cable.kind)" type="button" class="press mt-1" @click="panel = 'power'">
          Choose {{ cable.kind === 'power' ? 'power cable' : 'cord' }}
        </button>
      </template>
      <p v-else class="text-sm">
        {{ cables.length }} cables, listed below. Select one to see its working.
      </p>
      <p v-if="store.unsaved" class="field-fault">
        The files show the last saved state. Some changes are not saved yet.
      </p>
      <div class="mt-1 grid grid-cols-2 gap-2">
        <a v-for="{ as, title } in FILES" :key="as" class="press !px-2 first:col-span-2" :href="address(as)" download>
          <Download class="size-4" aria-hidden="true" /> {{ title }}
        </a>
      </div>
    </div>
  </div>
</template>
