<template>
  <div @click="go(title)">{{ title }}</div>
</template>

<script lang="ts">
/**
 * Goes there. At once.
 *
 * @param where - the place
 */
export function go(place: string): void {}
</script>

<style>
.a { color: red; }
</style>
