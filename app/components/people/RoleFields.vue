<script setup lang="ts">
import { isBySite, ROLE_WORDS, STAFF, type StaffRole } from '~~/core/people'

/** A role, and the sites on which it is held. */
const { id, sites } = defineProps<{ id: string, sites: { id: string, name: string }[] }>()
const role = defineModel<StaffRole>('role', { required: true })
const chosen = defineModel<string[]>('chosen', { required: true })
</script>

<template>
  <div class="space-y-2">
    <FieldFrame :id="`${id}-role`" label="Role" :hint="`${ROLE_WORDS[role].title} ${ROLE_WORDS[role].does}.`">
      <select :id="`${id}-role`" v-model="role" class="field-input">
        <option v-for="each in STAFF" :key="each" :value="each">
          {{ ROLE_WORDS[each].title }}
        </option>
      </select>
    </FieldFrame>
    <fieldset v-if="isBySite(role)">
      <legend class="field-label">
        On these sites
      </legend>
      <div class="flex flex-wrap gap-x-4">
        <label
          v-for="site in sites"
          :key="site.id"
          class="flex min-h-[var(--target)] items-center gap-2 text-sm"
        ><input
          v-model="chosen"
          type="checkbox"
          class="size-5"
          :value="site.id"
        >{{ site.name }}</label>
        <span v-if="sites.length === 0" class="text-sm text-ink-soft">No sites yet.</span>
      </div>
    </fieldset>
  </div>
</template>
