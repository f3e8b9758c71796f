<script setup lang="ts">
import { chosenFigure } from '~~/core/rules'
import { pressureOf } from '~~/core/fix'
import type { Exposure, Wall, WindBasis } from '~~/core/job'

/** What loads the screens beside their weight: the wind outside, by its basis, and a hand. */
const store = useWallStore()
const { unitOf, typed, readIn, quantity } = useUnits()
const wall = computed(() => store.wall!)
/** A wind speed of an earlier version has no basis. */
const wind = computed(
  () => wall.value.wind ?? (wall.value.windSpeed === undefined ? undefined : { speed: wall.value.windSpeed }),
)
const BASES: { value: WindBasis | '', label: string }[] = [
  { value: '', label: 'not given' },
  { value: 'gust-3s', label: '3 s gust' },
  { value: 'mean-10min', label: '10 min mean' },
  { value: 'fastest-mile', label: 'fastest mile' },
]
const EXPOSED: { value: Exposure, label: string }[] = [
  { value: 'open-sea', label: 'open sea' },
  { value: 'open', label: 'open country' },
  { value: 'suburb', label: 'suburb' },
  { value: 'town', label: 'town' },
]
function setSpeed(speed: number | undefined) {
  return store.edit('Design wind', (wall) => {
    if (speed === undefined) {
      delete wall.wind
      delete wall.windSpeed
    }
    else if (wall.wind) wall.wind.speed = speed
    else wall.windSpeed = speed
  })
}
/** With its basis a wind is whole; without it, it is a speed alone. */
function setBasis(basis: string) {
  return store.edit('Wind basis', (wall) => {
    const speed = wall.wind?.speed ?? wall.windSpeed!
    delete wall.windSpeed
    if (basis === '') {
      delete wall.wind
      wall.windSpeed = speed
    }
    else wall.wind = { ...wall.wind, speed, basis: basis as WindBasis }
  })
}
const editWind = (label: string, set: (wind: NonNullable<Wall['wind']>) => void) =>
  store.edit(label, (wall) => {
    set(wall.wind!)
  })
const pressure = computed(() => pressureOf(wall.value))
const firms = computed(() => quantity(chosenFigure('handForce', store.rules, 'metric'), 'N'))
const setHand = (value: number | undefined) =>
  store.edit('Hand load', (wall) => {
    if (value === undefined) {
      delete wall.handForce
      delete wall.handForceReason
    }
    else wall.handForce = value
  })
const setReason = (text: string) =>
  store.edit('Reason for the hand load', (wall) => {
    if (text) wall.handForceReason = text
    else delete wall.handForceReason
  })
</script>

<template>
  <div class="grid grid-cols-2 gap-x-3 gap-y-2">
    <TypedField
      :label="`Exterior wind (${unitOf('m/s')})`"
      :shown="typed(wind?.speed, 'm/s')"
      :read="readIn('m/s')"
      :actions="{ commit: setSpeed }"
    />
    <ChoiceField v-if="wind" label="Wind basis" :value="wall.wind?.basis ?? ''" :options="BASES" :commit="setBasis" />
    <template v-if="wall.wind?.basis === 'mean-10min'">
      <LengthField
        label="Screens above ground"
        :value="wall.wind.height ?? wall.height"
        :actions="{
          commit: mm =>
            editWind('Height above ground', wind => {
              wind.height = mm
            }),
        }"
      />
      <ChoiceField
        label="Wind comes over"
        :value="wall.wind.exposure ?? 'open-sea'"
        :options="EXPOSED"
        :commit="
          exposure =>
            editWind('Exposure', wind => {
              wind.exposure = exposure as Exposure
            })
        "
      />
    </template>
    <FigureLine v-if="pressure" class="col-span-2" label="Wind pressure" :figure="pressure" />
    <TypedField
      :label="`Hand load (${unitOf('N')})`"
      :shown="typed(wall.handForce, 'N')"
      :read="readIn('N')"
      :hint="`Empty: ${firms}, the house rule`"
      :actions="{ commit: setHand }"
    />
    <NoteField
      v-if="wall.handForce !== undefined"
      label="Reason for the hand load"
      class="col-span-2"
      :value="wall.handForceReason ?? ''"
      :commit="setReason"
    />
  </div>
</template>
