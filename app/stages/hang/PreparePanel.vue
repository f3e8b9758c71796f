<script setup lang="ts">
import { authorText } from '~~/core/log/author'
import { Check, Printer, TriangleAlert } from 'lucide-vue-next'
import { KIT_GROUPS, type KitGroup, type KitItem } from '~~/core/hang'

/** Parts and tools that the work needs, to be ticked off; what is missing is reported to the planner. */
const { kit, said } = useRun()
const { current } = useRevisionAtWall()
const store = useWallStore()
const { tell, system } = useUnits()
const fault = ref('')
const TITLES: Record<KitGroup, string> = {
  tools: 'Tools',
  bits: 'Bits',
  fasteners: 'Anchors and screws',
  mounts: 'Mounts and rails',
  displays: 'Displays',
  cables: 'Boxes and cables',
  access: 'People and access',
}
const groups = computed(() =>
  KIT_GROUPS.map(id => ({ id, title: TITLES[id], items: kit.value.filter(({ group }) => group === id) })).filter(
    ({ items }) => items.length > 0,
  ),
)
const there = computed(() => kit.value.filter(({ id }) => said.value.get(id)?.done).length)
function say(item: KitItem, done: boolean) {
  const faults = store.record({
    kind: 'step',
    step: item.id,
    done,
    ...(!done && { note: `${item.count > 1 ? `${item.count} × ` : ''}${tell(item.name)}`.slice(0, 1_900) }),
  })
  fault.value = faultText(faults)
}
const print = computed(
  () =>
    `/api/sites/${store.site}/walls/${store.id}/kit`
    + `?format=pdf&revision=${current.value?.revision}&units=${system.value}`,
)
</script>

<template>
  <div class="flex min-h-0 flex-1 flex-col">
    <header class="flex items-baseline justify-between gap-2">
      <h1 class="text-xl font-bold">
        Prepare
      </h1>
      <p class="text-sm text-ink-soft" data-testid="kit-count">
        {{ there }} of {{ kit.length }} ready
      </p>
    </header>
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <a
      class="press mt-1 self-end max-md:!min-h-12"
      :href="print"
      download
    ><Printer class="size-4" aria-hidden="true" /> Kit list (PDF)</a>
    <div class="mt-1 min-h-0 flex-1 overflow-y-auto" tabindex="0" role="group" aria-label="Parts and tools">
      <section v-for="{ id, title, items } in groups" :key="id" class="mb-2">
        <h2 class="sticky top-0 bg-board py-1 text-sm font-semibold">
          {{ title }}
        </h2>
        <ul class="divide-y divide-hair">
          <li
            v-for="item in items"
            :key="item.id"
            class="grid grid-cols-[3rem_1fr_3rem] items-center gap-2 py-1"
            :data-kit="item.id"
          >
            <button
              type="button"
              class="press !size-12 !p-0"
              :class="{ 'border-good! text-good!': said.get(item.id)?.done }"
              :aria-pressed="said.get(item.id)?.done === true"
              :aria-label="`${tell(item.name)} is ready`"
              @click="say(item, true)"
            >
              <Check class="size-6" :class="{ invisible: !said.get(item.id)?.done }" aria-hidden="true" />
            </button>
            <p class="text-sm">
              <b>{{ item.count > 1 || item.spare > 0 ? `${item.count} × `
                : '' }}{{ tell(item.name) }}</b>{{ item.spare > 0 ? `, and ${item.spare} spare` : '' }}
              <span class="block text-xs text-ink-soft">{{ tell(item.why) }}</span>
              <span v-if="said.get(item.id)?.done === false" class="block font-semibold text-stop">
                Missing, reported by {{ authorText(said.get(item.id)!) }}
              </span>
            </p>
            <button
              type="button"
              class="press !size-12 !p-0"
              :class="{ 'border-stop! text-stop!': said.get(item.id)?.done === false }"
              :aria-label="`${tell(item.name)} is missing`"
              @click="say(item, false)"
            >
              <TriangleAlert class="size-5" aria-hidden="true" />
            </button>
          </li>
        </ul>
      </section>
    </div>
  </div>
</template>
