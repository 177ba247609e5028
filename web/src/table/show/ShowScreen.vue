<script setup lang="ts">
/** The children's screen itself: the moments of one place come one after the other and rest at the last. It knows a frame and nothing else. */
import { useNow, useTimeoutFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { matLook } from '@lea/core/craft'
import { type ShowFrame, showSeconds, timersOfFrame, waitLeft } from '@lea/core/session'
import ShowOther from '../../parts/show/ShowOther.vue'
import ShowTastes from '../../parts/show/ShowTastes.vue'
import ShowTurn from '../../parts/show/ShowTurn.vue'
import ShowWash from '../../parts/show/ShowWash.vue'

const props = defineProps<{
  frame: ShowFrame | null
  /** Milliseconds that this device is behind the server. */
  behind: number
}>()
const at = ref(0)
const moments = computed(() => props.frame?.moments ?? [])
const moment = computed(() => moments.value[Math.min(at.value, moments.value.length - 1)] ?? null)
const seconds = computed(() => showSeconds(moment.value?.kind ?? 'ready') * 1000)
const onward = useTimeoutFn(() => {
  if (at.value < moments.value.length - 1) at.value += 1
}, seconds)
watch(
  () => props.frame?.key,
  () => (at.value = 0),
)
watch([() => props.frame?.key, at, () => moments.value.length], () => onward.start())
const border = computed(() => (props.frame?.who == null ? undefined : matLook(props.frame.who).colour))
const now = useNow({ interval: 1000 })
/** What is left of the timer that runs, from 1 to 0; null where none does. */
const left = computed(() =>
  props.frame ? waitLeft(timersOfFrame(props.frame), now.value.getTime() + props.behind) : null,
)
</script>

<template>
  <main
    id="main"
    class="grid h-dvh grid-cols-[minmax(0,1fr)] border-[1.6rem] bg-white p-5 [container-type:size]"
    :style="{ borderColor: border ?? 'var(--color-line)' }"
    aria-label="For the children"
  >
    <h1 class="sr-only">For the children</h1>
    <slot />
    <template v-if="frame && moment">
      <ShowWash v-if="moment.kind === 'wash'" :key="frame.key" />
      <ShowTurn
        v-else-if="moment.kind === 'turn' && frame.row && frame.who !== null"
        :moment="moment"
        :row="frame.row"
        :who="frame.who"
        :next="frame.next"
      />
      <ShowTastes v-else-if="moment.kind === 'tastes'" :tastes="frame.tastes" />
      <ShowOther v-else-if="moment.kind !== 'turn'" :moment="moment" :left="left" :guesses="frame.guesses" />
    </template>
  </main>
</template>
