<script setup lang="ts">
/** Diets of the setting's own. */
import { ref } from 'vue'
import type { OwnDiet } from '@lea/core/food'
import { todayText } from '../shared/dates'
import Notice from '../parts/Notice.vue'
import { useAttempt } from '../parts/useAttempt'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { checked } from '../workers/reader'

const settingStore = useSettingStore()
const auth = useAuthStore()
const { attempt, fault, said } = useAttempt()
const diet = ref({ name: '', avoid: '' })
/** A diet of the setting's own: a name, and what it avoids in words or allergen ids. */
const addDiet = (): Promise<void> =>
  attempt(async () => {
    const kept = settingStore.setting?.rules
    if (!kept) return
    const made = await checked<OwnDiet>(
      'diet',
      {
        id: `own:${diet.value.name
          .trim()
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, '-')}`,
        name: diet.value.name,
        avoid: diet.value.avoid
          .split(',')
          .map((t) => t.trim())
          .filter((t) => t !== ''),
      },
      todayText(),
    )
    await settingStore.saveRules({
      ...kept,
      diets: [...(kept.diets ?? []).filter((d) => d.id !== made.id), made],
    })
    diet.value = { name: '', avoid: '' }
  }, 'Diet kept.')
const removeDiet = (id: string): Promise<void> =>
  attempt(async () => {
    const kept = settingStore.setting?.rules
    if (kept) await settingStore.saveRules({ ...kept, diets: (kept.diets ?? []).filter((d) => d.id !== id) })
  }, 'Taken out. Children who have it are asked about until it is changed with them.')
</script>

<template>
  <section aria-label="Your own diets">
    <p class="mb-2 text-sm text-soft">
      Beside vegetarian, vegan, halal, kosher and the others: a name, and what it avoids (foods or allergens,
      parted by commas).
    </p>
    <ul>
      <li
        v-for="d in settingStore.setting?.rules.diets ?? []"
        :key="d.id"
        class="flex flex-wrap items-center gap-3 border-t border-line py-1.5"
      >
        <span class="font-semibold">{{ d.name }}</span><span class="text-sm text-soft"
          >avoids {{ d.avoid.join(', ') }}</span
        >
        <button
          v-if="auth.isOwner()"
          type="button"
          class="btn ml-auto"
          :aria-label="`Remove ${d.name}`"
          @click="removeDiet(d.id)"
        >
          Remove
        </button>
      </li>
    </ul>
    <Notice v-if="fault" tone="fault" class="mt-2">{{ fault }}</Notice>
    <p v-if="said" role="status" class="text-sm">{{ said }}</p>
    <form
      v-if="auth.isOwner()"
      class="mt-2 grid items-end gap-2 sm:grid-cols-[1fr_2fr_auto]"
      @submit.prevent="addDiet"
    >
      <label class="text-sm font-semibold"
        >Name<input v-model="diet.name" class="field mt-1 font-normal" maxlength="40" placeholder="no beef"
      /></label>
      <label class="text-sm font-semibold"
        >It avoids<input
          v-model="diet.avoid"
          class="field mt-1 font-normal"
          maxlength="400"
          placeholder="beef, gelatine"
      /></label>
      <button type="submit" class="btn">Save it</button>
    </form>
  </section>
</template>
