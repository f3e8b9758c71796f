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
  <section class="sticky top-0 z-10 mx-auto max-w-3xl space-y-2 border-l-4 border-caution bg-caution-wash px-3 py-2 text-sm shadow-lg" aria-labelledby="touched" data-testid="touched">
    <p>{{ proposed.what }}.</p>
    <h2 id="touched" class="font-semibold">
      {{ proposed.walls.length === 0 ? 'No wall is planned otherwise by this.' : proposed.walls.length === 1 ? 'One wall is planned otherwise by this:' : `${proposed.walls.length} walls are planned otherwise by this:` }}
    </h2>
    <ul v-if="proposed.walls.length" class="columns-2 gap-6">
      <li v-for="wall in proposed.walls.slice(0, SHOWN)" :key="`${wall.site}/${wall.wall}`">
        <NuxtLink :to="`/sites/${wall.site}/walls/${wall.wall}/survey`" class="underline">{{ wall.siteName }}, {{ wall.name }}</NuxtLink>{{ wall.issued ? ', issued' : '' }}
      </li>
      <li v-if="proposed.walls.length > SHOWN">
        and {{ proposed.walls.length - SHOWN }} more
      </li>
    </ul>
    <p v-if="issued">
      What was issued stays as it is; such a wall wants a new revision where its plan moves.
    </p>
    <div class="flex gap-2">
      <button ref="first" type="button" class="press press-first" @click="emit('accept')">
        Save the rule
      </button>
      <button type="button" class="press" @click="emit('leave')">
        Leave it as it was
      </button>
    </div>
  </section>
</template>
