<script setup lang="ts">
/** Text with its fractions set as fractions: "1 1/2 cups". */
import { computed } from 'vue'

const props = defineProps<{ text: string }>()
const parts = computed(() =>
  props.text
    .replace(/(\d) (\d+\/\d+)/g, '$1\u200a$2')
    .split(/(\d+\/\d+)/g)
    .map((piece) => ({ piece, isFraction: /^\d+\/\d+$/.test(piece) })),
)
</script>

<template>
  <span
    ><template v-for="(p, i) in parts" :key="i"
      ><span v-if="p.isFraction" class="frac">{{ p.piece }}</span
      ><template v-else>{{ p.piece }}</template></template
    ></span
  >
</template>
