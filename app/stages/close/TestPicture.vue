<script setup lang="ts">
import { Maximize, X } from 'lucide-vue-next'
import { useFullscreen } from '@vueuse/core'
import { screenLabel } from '~~/core/job/screenLabel'

/** The test picture as the wall shows it: on the wall's own canvas full-screen, or one screen's name at a time. */
const { shown, only, crops, picture, map } = useTestPicture()
const frame = useTemplateRef<HTMLElement>('frame')
const { isSupported, enter, isFullscreen } = useFullscreen(frame)
const address = computed(() => `data:image/svg+xml;charset=utf-8,${encodeURIComponent(picture.value)}`)
const names = computed(() => ['', ...crops.value.map(screenLabel)])
function go(by: number) {
  only.value = names.value[(names.value.indexOf(only.value) + by + names.value.length) % names.value.length]!
}
useCommands([
  { id: 'test-next', title: 'Next screen of the test pattern', group: 'Close', keys: ['pagedown'], run: () => go(1) },
  {
    id: 'test-back',
    title: 'Previous screen of the test pattern',
    group: 'Close',
    keys: ['pageup'],
    run: () => go(-1),
  },
])
</script>

<template>
  <div class="flex h-full flex-col bg-case text-on-case">
    <div class="flex flex-wrap items-center gap-2 p-2 text-sm">
      <button v-if="isSupported" type="button" class="press" @click="enter">
        <Maximize class="size-4" aria-hidden="true" /> Full screen
      </button>
      <label class="flex items-center gap-2">Show
        <select v-model="only" class="field-input !w-auto" aria-label="Screen shown">
          <option v-for="name in names" :key="name" :value="name">{{ name || 'the whole wall' }}</option>
        </select>
      </label>
      <span v-if="map" class="figures">{{ map.canvas.width }} × {{ map.canvas.height }} px. Page Up and Page Down change
        the screen.</span>
      <button type="button" class="press ml-auto" @click="shown = false">
        <X class="size-4" aria-hidden="true" /> Back to the drawing
      </button>
    </div>
    <div ref="frame" class="grid min-h-0 flex-1 place-items-center bg-black" data-testid="test-picture">
      <img
        :src="address"
        :alt="only ? `Test pattern, ${only} only` : 'Test pattern of the whole wall'"
        class="max-h-full max-w-full"
        :class="{ 'h-screen w-screen object-contain': isFullscreen }"
      >
    </div>
  </div>
</template>
