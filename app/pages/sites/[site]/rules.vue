<template>
  <SharedRules :site="$route.params.site as string" />
</template>
