<script setup lang="ts">
import { toString as qrSvg } from 'qrcode'
import { ref, watch } from 'vue'

/** A code for a phone's camera, 25 mm on paper. */
const props = defineProps<{
  /** What it says: an address, mostly. */
  code: string
  /** What it is of, in words. */
  of: string
}>()
const drawn = ref('')
watch(
  () => props.code,
  async (code) => {
    const svg = await qrSvg(code, { type: 'svg', margin: 0, errorCorrectionLevel: 'M' })
    drawn.value = `data:image/svg+xml;utf8,${encodeURIComponent(svg)}`
  },
  { immediate: true },
)
</script>

<template>
  <img :src="drawn" :alt="`QR of ${of}`" class="code" />
</template>

<style scoped>
.code {
  width: 25mm;
  height: 25mm;
  background: #fff;
}
</style>
