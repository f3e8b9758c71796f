<script setup lang="ts">
/** A new version of the program, offered: what is open goes on with the one it began with until a person says so. */
const { waits, load } = useNewVersion()
</script>

<template>
  <button v-if="waits" type="button" class="press !px-2" data-testid="new-version" @click="load()">
    Load new version
  </button>
</template>
