<script setup lang="ts">
import { authorText } from '~~/core/log/author'
/** Photographs of the wall, two of them side by side where that tells something. */
const store = useWallStore()
const { record, screens } = useClose()
const note = ref('')
const about = ref('')
const fault = ref('')
const chosen = ref<string[]>([])
const photos = computed(() => record.value?.photos ?? [])
const labelOf = (id: string | undefined) => screens.value.find(screen => screen.id === id)?.label ?? ''
interface PhotoOf { about: string, note: string }
function taken(photo: string, of: PhotoOf) {
  const text = of.note.trim()
  fault.value = store
    .record({ kind: 'photo', photo, ...of.about && { screen: of.about }, ...text && { note: text } })
    .map(({ message }) => message)
    .join(' ')
  if (!fault.value && note.value === of.note) note.value = ''
}
const toggle = (id: string) => {
  chosen.value = chosen.value.includes(id) ? chosen.value.filter(each => each !== id) : [...chosen.value, id].slice(-2)
}
const pair = computed(() => chosen.value.flatMap(id => photos.value.find(photo => photo.id === id) ?? []))
</script>

<template>
  <section aria-label="Photos">
    <h2 class="text-sm font-semibold">
      Photos
    </h2>
    <div class="mt-1 grid grid-cols-[7rem_1fr] gap-2">
      <select v-model="about" class="field-input" aria-label="Subject of the photo">
        <option value="">
          the wall
        </option>
        <option v-for="{ id, label } in screens" :key="id" :value="id">
          {{ label }}
        </option>
      </select>
      <input
        v-model="note"
        class="field-input"
        aria-label="Note on the photo"
        placeholder="what the photo shows"
        autocomplete="off"
        maxlength="2000"
      >
    </div>
    <PhotoButton :of="{ about, note }" :site="store.site" label="Take photo" class="mt-1" :take="taken" />
    <p v-if="fault" class="field-fault" role="alert">
      {{ fault }}
    </p>
    <ul v-if="photos.length" class="mt-2 grid grid-cols-3 gap-2">
      <li v-for="photo in photos" :key="photo.id">
        <button
          type="button"
          class="w-full rounded border-2 text-left text-xs"
          :class="chosen.includes(photo.id) ? 'border-flag' : 'border-hair'"
          :aria-pressed="chosen.includes(photo.id)"
          @click="toggle(photo.id)"
        >
          <WallPhoto
            :photo="photo.photo"
            :label="photo.note ?? `Photo of ${whenOf(photo.at)}`"
            small
            class="h-16 w-full object-cover"
          />
          <span class="block truncate px-1">{{ labelOf(photo.screen) }} {{ photo.note ?? whenOf(photo.at) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="photos.length > 1 && pair.length < 2" class="text-xs text-ink-soft">
      Select two photos to compare them.
    </p>
    <div v-if="pair.length === 2" class="mt-2 grid grid-cols-2 gap-1" data-testid="side-by-side">
      <figure v-for="photo in pair" :key="photo.id" class="text-xs">
        <WallPhoto :photo="photo.photo" :label="photo.note ?? 'Photo'" class="w-full" />
        <figcaption>
          {{ whenOf(photo.at) }}, {{ authorText(photo) }}{{ photo.note ? `: ${photo.note}` : '' }}
        </figcaption>
      </figure>
    </div>
  </section>
</template>
