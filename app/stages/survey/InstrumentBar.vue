<script setup lang="ts">
/** Which instrument is listened to; a practice one is held against the wall by pointing at the elevation. */
const { offered, connected, last, connect } = useInstruments()
</script>

<template>
  <div v-if="offered.length">
    <ChoiceField
      inline
      label="Instrument"
      :value="connected?.id ?? ''"
      :options="[{ value: '', label: 'none' }, ...offered.map(({ id, name }) => ({ value: id, label: name }))]"
      :commit="(id) => { void connect(id); return [] }"
    />
    <p v-if="connected" class="mt-0.5 text-xs text-ink-soft" role="status">
      Click the elevation to place it there. {{ last ? `Received: ${last}.` : 'No reading received yet.' }}
      <template v-if="connected.id === 'practice-distance'">
        Each length is entered as the type selected under “Point on wall”.
      </template>
    </p>
  </div>
</template>
