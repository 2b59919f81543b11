<template>
  <NuxtPage />
  <UiToasts />
</template>
