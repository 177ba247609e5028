<script setup lang="ts">
/** The children's screen on a device that is signed in: the same picture as a second screen gets, worked out here, also without a network. */
import { X } from '@lucide/vue'
import { computed, onMounted, onUnmounted } from 'vue'
import { useRoute } from 'vue-router'
import { showFrame } from '@lea/core/session'
import { useMats } from '../../parts/mats/useMats'
import { useSession } from '../../stores/session/session'
import { useTable } from '../../stores/table/table'
import ShowScreen from './ShowScreen.vue'

const route = useRoute()
const session = useSession()
const table = useTable()
const { matOf } = useMats()
const id = computed(() => String(route.params['id']))
onMounted(async () => {
  await session.open(id.value)
  if (session.stored?.state !== 'planned')
    await table.open(id.value, () => void session.refresh(), session.join)
})
onUnmounted(() => table.close())

const frame = computed(() =>
  session.plan && table.opened
    ? showFrame(
        {
          plan: session.plan,
          state: table.state,
          bowl: session.bowl,
          speakers: (session.request()?.children ?? []).map((c) => ({ child: c.id, languages: c.languages })),
          present: session.atWork,
        },
        matOf,
      )
    : null,
)
</script>

<template>
  <ShowScreen :frame="frame" :behind="table.behind">
    <RouterLink
      :to="`/session/${id}/cook`"
      class="absolute right-8 top-8 rounded-patch p-2 opacity-60"
      aria-label="Back to the leader’s view"
      ><X class="size-7" aria-hidden="true"
    /></RouterLink>
    <p v-if="!frame" role="status" class="sr-only">Setting the table …</p>
  </ShowScreen>
</template>
