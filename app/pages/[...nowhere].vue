<template>
  <main class="mx-auto max-w-xl p-6">
    <h1>There is no such page</h1>
    <p class="mt-3">The address may have lost a part of it on its way.</p>
    <NuxtLink to="/?all" class="btn mt-4">All refits</NuxtLink>
  </main>
</template>
