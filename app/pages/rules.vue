<template>
  <SharedRules />
</template>
