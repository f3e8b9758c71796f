<script setup lang="ts">
const site = useRoute().params.site as string
</script>

<template>
  <SharedRules :site="site" />
</template>
