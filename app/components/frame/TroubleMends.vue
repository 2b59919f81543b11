<script setup lang="ts">
import type { Remark } from '#core/model/stored'

/** What keeps work out of the plan and is mended by a press: who does it, who helps, what may be left overnight. */
defineProps<{ reasons: readonly Remark[] }>()
</script>

<template>
  <SkillGaps :reasons="reasons" />
  <HandsGap :reasons="reasons" />
  <LongSteps :reasons="reasons" />
</template>
