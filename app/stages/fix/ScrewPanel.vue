<script setup lang="ts">
/** Into the display: which screw holds the bracket, cut through, and the kit for the whole array. */
const store = useWallStore()
const { array, fixing } = useFixing()
const { fineWithUnit, tell } = useUnits()
const screw = computed(() => fixing.value?.screw)
const setLength = (key: 'screw' | 'spacer', label: string) => (mm: number | undefined) => store.edit(label, (wall) => {
  if (mm === undefined) Reflect.deleteProperty(arrayOf(wall, array.value!.id), key)
  else arrayOf(wall, array.value!.id)[key] = mm
})
</script>

<template>
  <div v-if="array && fixing" class="space-y-2.5">
    <p class="text-sm" data-testid="screw-choice">
      <template v-if="screw?.fits">
        M{{ store.catalogue.displays.find(({ id }) => id === fixing!.display)!.vesa.thread }} ×
        <b class="figures text-base">{{ fineWithUnit(screw.length) }}</b>, washers
        {{ fineWithUnit(screw.stack.washers) }} in total; 4 per display, {{ 4 * fixing.count }} in total.
      </template>
      <template v-else-if="screw">
        {{ tell(screw.why) }}.
      </template>
    </p>
    <ScrewSection v-if="screw?.range" :choice="screw" :chosen="array.screw" />
    <p class="text-xs text-ink-soft">
      Screw head, bracket stack, threaded insert. The screw must end in the green zone.
    </p>
    <FigureLine v-if="screw?.range" label="Minimum screw length" fine :figure="screw.range.shortest" />
    <FigureLine v-if="screw?.range" label="Maximum screw length" fine :figure="screw.range.longest" />
    <div class="grid grid-cols-2 gap-3">
      <LengthField
        label="Screw length"
        :value="array.screw"
        :actions="{ commit: setLength('screw', 'Screw into the display') }"
        :clear="() => setLength('screw', 'Screw from the kit')(undefined)"
      />
      <LengthField
        label="Spacer"
        :value="array.spacer"
        :actions="{ commit: setLength('spacer', 'Spacer') }"
        :clear="() => setLength('spacer', 'No spacer')(undefined)"
      />
    </div>
    <button
      v-if="array.screw !== undefined"
      type="button"
      class="press w-full"
      @click="setLength('screw', 'Screw from the kit')(undefined)"
    >
      Use screw from kit
    </button>
  </div>
</template>
