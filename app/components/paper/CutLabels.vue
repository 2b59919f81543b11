<script setup lang="ts">
/** Labels to print and cut, two to a row on A4: a code for a phone, a large word, and lines under it. */
export interface CutLabel {
  readonly id: string
  /** What the code says. */
  readonly code: string
  readonly codeOf: string
  readonly large: string
  readonly small: string
  readonly lines: readonly string[]
}
defineProps<{ labels: readonly CutLabel[] }>()
</script>

<template>
  <!-- They are as large as they are cut: a narrow screen scrolls to see them whole. -->
  <div
    class="overflow-x-auto print:overflow-visible"
    tabindex="0"
    role="region"
    aria-label="Labels"
  >
    <ul class="labels">
      <li v-for="label in labels" :key="label.id" class="label">
        <PaperCode :code="label.code" :of="label.codeOf" />
        <div class="min-w-0">
          <p class="cond flex justify-between gap-2 text-2xl leading-none">
            {{ label.large }} <span class="text-base">{{ label.small }}</span>
          </p>
          <p
            v-for="(line, at) in label.lines"
            :key="line"
            class="leading-tight"
            :class="{ cond: at === 0 }"
          >
            {{ line }}
          </p>
        </div>
      </li>
    </ul>
  </div>
</template>

<style scoped>
/* Two to a row on A4, eight rows, lines to cut along. */
.labels {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(88mm, 1fr));
}
.label {
  display: grid;
  grid-template-columns: 25mm 1fr;
  gap: 3mm;
  height: 34mm;
  padding: 3mm;
  overflow: hidden;
  border: 1px dashed var(--ink2);
  break-inside: avoid;
}
</style>
