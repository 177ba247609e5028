<script setup lang="ts">
/** One tap away at the table: care plans of the children present, then the general steps. */
import { computed } from 'vue'
import { LEVEL_WORDS, allergenName } from '@lea/core/food'
import EmergencySteps from '../../parts/EmergencySteps.vue'
import Sheet from '../../parts/Sheet.vue'
import { useSettingStore } from '../../stores/setting'
import { useSession } from '../../stores/session/session'

const emit = defineEmits<{ close: [] }>()
const settingStore = useSettingStore()
const session = useSession()
const plans = computed(() => {
  const here = new Set(session.plan?.children.map((c) => c.id) ?? [])
  const people = [...settingStore.children, ...(session.stored?.guests ?? [])]
  return people.filter(
    (p) => here.has(p.id) && (p.carePlan || p.concerns.some((c) => c.level !== 'preference')),
  )
})
</script>

<template>
  <Sheet open wide title="Emergency" @close="emit('close')">
    <div class="max-h-[70vh] overflow-y-auto" tabindex="0" role="region" aria-label="First steps">
      <section v-if="plans.length > 0" class="mb-4 border-b border-ink pb-3">
        <h3 class="text-lg">Children here with a plan</h3>
        <ul>
          <li v-for="p in plans" :key="p.id" class="py-1">
            <strong>{{ p.nickname }}</strong>:
            {{ p.concerns.map((c) => `${allergenName(c.allergen)}, ${LEVEL_WORDS[c.level]}`).join('; ') }}.
            <span v-if="p.carePlan" translate="no">{{ p.carePlan }}</span>
          </li>
        </ul>
      </section>
      <EmergencySteps />
    </div>
  </Sheet>
</template>
