<script setup lang="ts">
import type { ProposedRules } from '~/composables/useRules'

/** Which walls a rule that was just chosen touches, before it is saved. */
const { proposed } = defineProps<{ proposed: ProposedRules }>()
const emit = defineEmits<{ accept: [], leave: [] }>()
const issued = computed(() => proposed.walls.filter(({ issued }) => issued).length)
const SHOWN = 12
const first = useTemplateRef<HTMLButtonElement>('first')
onMounted(() => first.value?.focus())
</script>

<template>
  <section
    class="sticky top-0 z-10 mx-auto max-w-3xl space-y-2 border-l-4 border-caution bg-caution-wash px-3 py-2 text-sm
      shadow-lg"
    aria-labelledby="touched"
    data-testid="touched"
  >
    <p>{{ proposed.what }}.</p>
    <h2 id="touched" class="font-semibold">
      {{ proposed.walls.length === 0 ? 'This changes the plan of no wall.' : proposed.walls.length === 1
        ? 'This changes the plan of one wall:' : `This changes the plan of ${proposed.walls.length} walls:` }}
    </h2>
    <ul v-if="proposed.walls.length" class="columns-2 gap-6">
      <li v-for="wall in proposed.walls.slice(0, SHOWN)" :key="`${wall.site}/${wall.wall}`">
        <NuxtLink
          :to="`/sites/${wall.site}/walls/${wall.wall}/survey`"
          class="underline"
        >{{ wall.siteName }}, {{ wall.name }}</NuxtLink>{{ wall.issued ? ', issued' : '' }}
      </li>
      <li v-if="proposed.walls.length > SHOWN">
        and {{ proposed.walls.length - SHOWN }} more
      </li>
    </ul>
    <p v-if="issued">
      Issued revisions do not change. Issue a new revision where the plan has changed.
    </p>
    <div class="flex gap-2">
      <button ref="first" type="button" class="press press-first" @click="emit('accept')">
        Save rule
      </button>
      <button type="button" class="press" @click="emit('leave')">
        Cancel
      </button>
    </div>
  </section>
</template>
