<script setup lang="ts">
import { Lock, LockOpen, ScanBarcode } from 'lucide-vue-next'

/** Serial number and lock of every screen: typed, or read off its label by the camera. */
// Reading codes is fetched when a camera is asked for.
const SerialScanner = defineAsyncComponent(() => import('./SerialScanner.vue'))
const store = useWallStore()
const { screens, record } = useClose()
const { select, selectedOf } = useSelection()
const fault = ref('')
const typed = ref<Record<string, string>>({})
const scanning = ref('')
const faults = ref<Record<string, string>>({})
const serialOf = (id: string) => record.value?.serials.get(id)?.serial ?? ''
const labelOf = (id: string) => screens.value.find(screen => screen.id === id)?.label ?? id

function keep(screen: string, text: string) {
  scanning.value = ''
  const serial = text.trim()
  if (!serial || serial === serialOf(screen)) return
  typed.value[screen] = serial
  const other = [...(record.value?.serials ?? [])].find(
    ([id, entry]) => id !== screen && entry.serial.toUpperCase() === serial.toUpperCase(),
  )
  if (other)
    return void (faults.value[screen] = `${serial} is already recorded for ${labelOf(other[0])}: check both labels.`)
  const found = store.record({ kind: 'serial', screen, serial })
  faults.value[screen] = faultText(found)
  if (found.length === 0) typed.value = Object.fromEntries(Object.entries(typed.value).filter(([id]) => id !== screen))
}
function setLock(screen: string) {
  const unlocked = record.value!.locked.has(screen)
  fault.value = store
    .record({ kind: 'locked', screen, ...(unlocked && { unlocked }) })
    .map(({ message }) => message)
    .join(' ')
}
function lockAll() {
  for (const { id } of screens.value) if (!record.value?.locked.has(id)) store.record({ kind: 'locked', screen: id })
}
</script>

<template>
  <div class="space-y-2">
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul class="divide-y divide-hair">
      <li
        v-for="{ id, label } in screens"
        :key="id"
        class="py-1.5"
        :class="{ 'bg-paper': selectedOf('screen') === id }"
        :data-serial="id"
      >
        <div class="grid grid-cols-[4.5rem_1fr_3rem_3rem] items-center gap-2">
          <button
            type="button"
            class="min-h-12 text-left font-semibold underline-offset-2 hover:underline"
            @click="select('screen', id)"
          >
            {{ label }}
          </button>
          <input
            class="field-input !min-h-12"
            :value="typed[id] ?? serialOf(id)"
            :aria-label="`Serial number of ${label}`"
            :aria-invalid="!!faults[id]"
            placeholder="serial number"
            autocomplete="off"
            spellcheck="false"
            maxlength="200"
            @input="faults[id] = ''; typed[id] = ($event.target as HTMLInputElement).value"
            @change="keep(id, ($event.target as HTMLInputElement).value)"
          >
          <button
            type="button"
            class="press !size-12 !p-0"
            :aria-label="`Read the label of ${label} by camera`"
            @click="scanning = scanning === id ? '' : id"
          >
            <ScanBarcode class="size-5" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="press !size-12 !p-0"
            :class="record?.locked.has(id) ? 'border-good! text-good!' : ''"
            :aria-pressed="record?.locked.has(id) ?? false"
            :aria-label="`${label} locked`"
            @click="setLock(id)"
          >
            <component :is="record?.locked.has(id) ? Lock : LockOpen" class="size-5" aria-hidden="true" />
          </button>
        </div>
        <p v-if="faults[id]" class="field-fault" role="alert">
          {{ faults[id] }}
        </p>
        <SerialScanner v-if="scanning === id" @read="keep(id, $event)" @closed="scanning = ''" />
      </li>
    </ul>
    <button type="button" class="press w-full !min-h-12" @click="lockAll">
      <Lock class="size-4" aria-hidden="true" /> Mark all locked
    </button>
  </div>
</template>
