<script setup lang="ts">
/** The kit called out, large: what, how many, who counts; what is there is ticked, one thing after the other. */
import { computed, ref } from 'vue'
import { callsText, kitCalls, type KitTool, type Plan } from '@lea/core/plan'
import Mat from '../../parts/mats/Mat.vue'
import { useMats } from '../../parts/mats/useMats'
import ToolPicture from '../../parts/pictures/ToolPicture.vue'
import Sheet from '../../parts/Sheet.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan }>()
const emit = defineEmits<{ tick: [tool: KitTool]; close: [] }>()
const session = useSession()
const { matOf } = useMats()
const at = ref(0)
const calls = computed(() => kitCalls(props.plan))
const call = computed(() => calls.value[at.value] ?? null)
function there(): void {
  if (call.value && !call.value.tool.laid) emit('tick', call.value.tool)
  at.value += 1
}
</script>

<template>
  <Sheet open title="Have we got everything?" @close="emit('close')">
    <p class="text-sm text-soft">{{ callsText(calls) }}</p>
    <template v-if="call">
      <div class="my-3 flex items-center gap-5" aria-live="polite">
        <ToolPicture :tool="call.tool.tool" class="size-32 shrink-0" />
        <div>
          <p class="text-sm text-soft">{{ call.where }}</p>
          <p class="text-2xl font-bold">{{ call.says }}</p>
          <p v-if="call.child" class="mt-1 flex items-center gap-2 text-lg">
            <Mat :name="session.nameOf(call.child)" :mat="matOf(call.child)" beside />
            {{ session.nameOf(call.child) }} counts
          </p>
        </div>
      </div>
      <div class="flex flex-wrap gap-2">
        <button type="button" class="btn btn-main" @click="there">It is there</button>
        <button type="button" class="btn" @click="at += 1">Not yet</button>
        <button v-if="at > 0" type="button" class="btn" @click="at -= 1">Back</button>
      </div>
    </template>
    <p v-else class="my-3 text-xl font-bold">That was all.</p>
  </Sheet>
</template>
