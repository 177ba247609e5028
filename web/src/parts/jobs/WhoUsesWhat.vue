<script setup lang="ts">
/** Which child has which blade or hot thing today, and who stands next to it. */
import { computed } from 'vue'
import { type Plan, whoUsesWhat } from '@lea/core/plan'
import ToolPicture from '../pictures/ToolPicture.vue'
import { useSession } from '../../stores/session/session'

const props = defineProps<{ plan: Plan; bare?: boolean }>()
const session = useSession()
const table = computed(() => whoUsesWhat(props.plan))
</script>

<template>
  <div class="min-w-0 md:col-span-3">
    <h2 v-if="!bare" class="mb-1 text-lg">Who uses what</h2>
    <p v-if="table.columns.length === 0 && table.adults.length === 0" class="text-sm">
      No blade and nothing hot today.
    </p>
    <div
      v-if="table.columns.length > 0"
      class="overflow-x-auto"
      tabindex="0"
      role="region"
      aria-label="Who uses what"
    >
      <table class="w-full min-w-[40rem] text-sm">
        <thead>
          <tr class="text-left align-bottom">
            <th scope="col" class="p-1">Who</th>
            <th v-for="c in table.columns" :key="c.id" scope="col" class="p-1">
              <span class="flex items-center gap-1"
                ><ToolPicture v-if="c.tool" :tool="c.tool" class="size-7 shrink-0" />{{ c.name }}</span
              >
            </th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="r in table.rows" :key="r.child" class="border-t border-line">
            <th scope="row" class="p-1 text-left">{{ session.nameOf(r.child) }}</th>
            <td
              v-for="c in r.cells"
              :key="c.column"
              class="p-1"
              :class="c.has ? 'font-semibold' : 'text-soft'"
            >
              {{ session.say(c.says) }}
            </td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-for="a in table.adults" :key="a.adult" class="mt-1 text-sm">
      <strong>{{ session.nameOf(a.adult) }} does alone:</strong> {{ a.jobs.join(', ') }}
    </p>
  </div>
</template>
