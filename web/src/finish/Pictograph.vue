<script setup lang="ts">
/** The tokens as the children can count and compare them: towers of mats on one line, so that the taller one is seen. */
import { TASTE_WORDS, type Taste } from '@lea/core/session'
import { computed } from 'vue'
import Mat from '../parts/mats/Mat.vue'
import { useMats } from '../parts/mats/useMats'
import { useSession } from '../stores/session/session'

const props = defineProps<{ rows: { taste: Taste; who: string[] }[] }>()
const session = useSession()
const { matOf } = useMats()
/** A tower as high as a hand is wide; of many children the mats are smaller, for all towers alike. */
const small = computed(() => props.rows.some((r) => r.who.length > 7))
</script>

<template>
  <dl class="grid grid-cols-3 items-end gap-2">
    <div v-for="row in rows" :key="row.taste" class="flex flex-col-reverse">
      <dt class="min-h-11 border-t-4 border-ink pt-1 text-center text-sm font-semibold leading-tight">
        {{ TASTE_WORDS[row.taste] }}
      </dt>
      <dd class="flex flex-col-reverse items-center gap-1 pb-1">
        <Mat
          v-for="c in row.who"
          :key="c"
          :name="session.nameOf(c)"
          :mat="matOf(c)"
          :size="small ? 'small' : 'seat'"
          :class="{ '!size-7': small }"
        />
      </dd>
      <dd class="numeral text-center text-3xl">{{ row.who.length }}</dd>
    </div>
  </dl>
</template>
