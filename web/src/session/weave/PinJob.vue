<script setup lang="ts">
/** Pins a turn of a shared task to a child; Lea plans around it. Only children who take part are offered. */
import { Pin } from '@lucide/vue'
import { computed, useId } from 'vue'
import { taskText } from '@lea/core/plan'
import { useAuthStore } from '../../stores/auth'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ task: string }>()
const session = useSession()
const auth = useAuthStore()
const id = useId()
const job = computed(() => {
  const task = session.plan?.tasks.find((t) => t.id === props.task)
  return session.plan && task ? taskText(task, session.plan) : ''
})
const able = computed(
  () => session.plan?.tasks.find((t) => t.id === props.task)?.forms.flatMap((f) => f.children) ?? [],
)
const pins = computed(() =>
  (session.stored?.decisions ?? []).flatMap((d) =>
    d.kind === 'pin' && d.task === props.task ? [d.child] : [],
  ),
)

function pin(event: Event): void {
  const select = event.target as HTMLSelectElement
  const child = select.value
  select.value = ''
  if (child) void session.choose({ kind: 'pin', task: props.task, child })
}
</script>

<template>
  <span v-if="auth.isLeader()" class="mt-0.5 flex flex-wrap items-center gap-1 text-xs">
    <Pin class="size-3.5" aria-hidden="true" />
    <span v-for="c in pins" :key="c" class="rounded-sm bg-ink px-1 text-white"
      >{{ session.nameOf(c) }} first</span
    >
    <label :for="id" class="sr-only">Pin a turn of {{ job }} to</label>
    <select :id="id" class="rounded-sm border border-line bg-white px-1 py-0.5" @change="pin">
      <option value="">pin to …</option>
      <option v-for="c in able.filter((x) => !pins.includes(x))" :key="c" :value="c">
        {{ session.nameOf(c) }}
      </option>
    </select>
  </span>
</template>
