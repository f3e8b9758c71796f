<script setup lang="ts">
/** What a person has made that is open, and ends with his right to it; clients' links can be taken over instead. */
const { invitations, links } = defineProps<{
  invitations: { name: string }[]
  links: { client: string, wall: string, site: string }[]
}>()
const takeOver = defineModel<boolean>({ required: true })
</script>

<template>
  <div v-if="invitations.length + links.length > 0" class="space-y-1 text-sm" data-testid="open-of-person">
    <p v-if="invitations.length">
      These open invitations end: {{ invitations.map(({ name }) => name).join(', ') }}.
    </p>
    <template v-if="links.length">
      <p>
        {{ takeOver ? 'These client links become yours' : 'These client links end' }}:
        {{ links.map(({ client, wall, site }) => `${client} (${wall}, ${site})`).join('; ') }}.
      </p>
      <label class="flex min-h-11 items-center gap-2">
        <input v-model="takeOver" type="checkbox"> Take over the client links
      </label>
    </template>
  </div>
</template>
