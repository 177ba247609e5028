<script setup lang="ts">
/** Tools by their pictures: enough for everyone, none, or so many. How many there are sets how many children work at once. */
import { computed } from 'vue'
import {
  TOOLS,
  TOOL_GROUPS,
  TOOL_GROUP_WORDS,
  countOf,
  fewToolsText,
  toolName,
  withCount,
} from '@lea/core/craft'
import type { Kit } from '@lea/core/plan'
import { kitSchema } from '@lea/core/schema'
import ToolPicture from '../parts/pictures/ToolPicture.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'

const props = defineProps<{ kit: Kit }>()
const emit = defineEmits<{ keep: [kit: Kit]; fault: [says: string] }>()
const auth = useAuthStore()
const setting = useSettingStore()
const locale = computed(() => (setting.setting?.rules.country === 'us' ? 'en-US' : 'en-GB'))
const COUNTS = Array.from({ length: 16 }, (_, n) => n)
const few = computed(() => fewToolsText(props.kit.tools ?? [], locale.value))
const groups = computed(() =>
  TOOL_GROUPS.map((group) => ({
    group,
    says: TOOL_GROUP_WORDS[group],
    rows: TOOLS.filter((t) => t.group === group).map((t) => ({
      id: t.id,
      name: toolName(t.id, 2, locale.value),
      count: countOf(t.id, props.kit.tools),
    })),
  })),
)

function set(tool: string, value: string): void {
  const tools = withCount(props.kit.tools ?? [], tool, value === '' ? null : Number(value))
  try {
    emit('keep', kitSchema.validateSync({ ...props.kit, tools }))
  } catch (e) {
    emit('fault', e instanceof Error ? e.message : String(e))
  }
}
</script>

<template>
  <fieldset class="mt-4" :disabled="!auth.isLeader()">
    <legend class="mb-1 text-xl font-bold">Tools</legend>
    <p class="text-sm">{{ few }}</p>
    <details v-for="g in groups" :key="g.group" class="mt-1 border-t border-line pt-1">
      <summary class="cursor-pointer py-1 font-semibold">{{ g.says }}</summary>
      <ul>
        <li v-for="t in g.rows" :key="t.id" class="flex items-center gap-2 py-0.5">
          <ToolPicture :tool="t.id" class="size-8 shrink-0" />
          <label class="flex min-w-0 flex-1 items-center gap-2"
            ><span class="min-w-0 flex-1">{{ t.name }}</span
            ><select
              class="field !w-28"
              :value="Number.isFinite(t.count) ? String(t.count) : ''"
              @change="set(t.id, ($event.target as HTMLSelectElement).value)"
            >
              <option value="">enough</option>
              <option v-for="n in COUNTS" :key="n" :value="String(n)">{{ n === 0 ? 'none' : n }}</option>
            </select></label
          >
        </li>
      </ul>
    </details>
  </fieldset>
</template>
