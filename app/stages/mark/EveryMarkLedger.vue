<template>
  <MarkLedger every />
</template>
