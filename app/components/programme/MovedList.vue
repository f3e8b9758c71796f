<script setup lang="ts">
import type { Moved } from '~~/core/programme'
import { whenAt } from './when'

/** What is at another time, or with another crew, than before: before and after side by side. */
const { moved, most = 8 } = defineProps<{ moved: Moved[], most?: number }>()
const store = useProgrammeStore()
const { tell } = useUnits()
const all = ref(false)
const shown = computed(() => all.value ? moved : moved.slice(0, most))
const titleOf = (id: string) => {
  const task = store.taskOf(id)
  return task ? `${tell(task.title)}, ${task.siteName}` : id
}
const crewChange = ({ before, after }: Moved) =>
  before && after && before.crew !== after.crew
    ? `${store.crewName(before.crew)} → ${store.crewName(after.crew)}`
    : store.crewName((after ?? before)!.crew)
</script>

<template>
  <div>
    <table class="w-full text-left text-sm">
      <thead class="text-xs text-ink-soft">
        <tr>
          <th class="py-1 pr-2 font-normal">
            Task
          </th>
          <th class="pr-2 font-normal">
            Before
          </th>
          <th class="pr-2 font-normal">
            After
          </th>
          <th class="font-normal">
            Crew
          </th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="each in shown" :key="each.task" class="border-t border-hair align-top">
          <td class="py-1 pr-2">
            {{ titleOf(each.task) }}
          </td>
          <td class="figures pr-2">
            {{ each.before ? whenAt(each.before.start, store.settings.zone) : 'not scheduled' }}
          </td>
          <td class="figures pr-2 font-semibold">
            {{ each.after ? whenAt(each.after.start, store.settings.zone) : 'not scheduled' }}
          </td>
          <td>{{ crewChange(each) }}</td>
        </tr>
      </tbody>
    </table>
    <button v-if="moved.length > most" type="button" class="press mt-1" @click="all = !all">
      {{ all ? 'Show fewer' : `Show all ${moved.length}` }}
    </button>
  </div>
</template>
