<script setup lang="ts">
import type { NuxtError } from '#app'

defineProps<{ error: NuxtError }>()
const again = () => location.reload()
</script>

<template>
  <main class="mx-auto max-w-xl p-6">
    <h1>This page broke off</h1>
    <p class="mt-3 text-redlead" role="alert">{{ error.message }}</p>
    <p class="mt-3">
      What was saved is saved. Read the page again; if it breaks again, go by another view.
    </p>
    <div class="mt-4 flex flex-wrap gap-3">
      <button class="btn btn-main" @click="again">Read it again</button>
      <a class="btn" href="/?all">All refits</a>
    </div>
  </main>
</template>
