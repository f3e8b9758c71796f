<script setup lang="ts">
import { Mic, MicOff } from 'lucide-vue-next'

/** Which instrument is read, and whether the browser listens to the reader. */
const { offered, connected, last, connect, hold, hearing } = useGauge()
const { canHear, listening, fault, toggle } = hearing
const choose = (id: string) => {
  void connect(id)
  return []
}
</script>

<template>
  <div class="space-y-1">
    <div class="flex items-end gap-2">
      <ChoiceField
        v-if="offered.length"
        class="min-w-0 flex-1"
        inline
        label="Instrument"
        :value="connected?.id ?? ''"
        :options="[{ value: '', label: 'none (keypad)' },
                   ...offered.map(({ id, name }) => ({ value: id, label: name }))]"
        :commit="choose"
      />
      <button v-if="canHear" type="button" class="press max-md:!min-h-12" :aria-pressed="listening" @click="toggle">
        <component :is="listening ? Mic : MicOff" class="size-5" aria-hidden="true" /> Voice
      </button>
    </div>
    <button v-if="connected" type="button" class="press w-full !min-h-12" @click="hold">
      Take reading
    </button>
    <p v-if="last || listening || fault" class="text-xs text-ink-soft" role="status">
      {{ fault
        || (last ? `Received: ${last}.`
          : 'Say the figure, “next” or “back”. The browser’s own service processes your speech.') }}
    </p>
  </div>
</template>
