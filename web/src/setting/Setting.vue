<script setup lang="ts">
/** A setting by topics, folded, with a search: its adults, rules, words, and how long it keeps what. */
import { settingStates, type SettingTopic } from '@lea/core/setting'
import { computed, onMounted, ref } from 'vue'
import type { HouseRules } from '@lea/core/plan'
import { VERSION } from '../shared/version'
import Fold from '../parts/layout/Fold.vue'
import Notice from '../parts/Notice.vue'
import SettingAdults from './SettingAdults.vue'
import SettingDiets from './SettingDiets.vue'
import SettingRatios from './SettingRatios.vue'
import SettingRules from './SettingRules.vue'
import SettingArchive from './SettingArchive.vue'
import SettingKeeping from './SettingKeeping.vue'
import SettingTargets from './SettingTargets.vue'
import SettingTechniques from './SettingTechniques.vue'
import SettingWords from './SettingWords.vue'
import { useAuthStore } from '../stores/auth'
import { useSettingStore } from '../stores/setting'
import { useAttempt } from '../parts/useAttempt'

const settingStore = useSettingStore()
const auth = useAuthStore()
onMounted(() => void settingStore.load())
const { attempt, fault, said } = useAttempt()
const keepRules = (next: HouseRules, done = 'Saved. Plans to come use it.'): Promise<void> =>
  attempt(async () => settingStore.saveRules(next), done)

interface Topic {
  id: string
  title: string
  /** What somebody looks for who wants it. */
  words: string
  who?: 'leader' | 'owner'
}
const TOPICS: Topic[] = [
  { id: 'adults', title: 'Adults', words: 'people sign-in password role knives heat leads helper owner' },
  {
    id: 'rules',
    title: 'House rules',
    words:
      'group bowl knives talk language allergy country nation eggs clear up tasting scoops own rules minutes spare buffer raw names',
  },
  {
    id: 'ages',
    title: 'Ages of techniques',
    words: 'techniques blade knife scissors heat from months oversee watch jobs',
  },
  { id: 'ratios', title: 'Children to an adult', words: 'ratio supervision ages law' },
  { id: 'goals', title: 'Goals of the week', words: 'targets learning counting fractions language' },
  { id: 'words', title: 'Words of home', words: 'languages word cards translation', who: 'leader' },
  { id: 'diets', title: 'Your own diets', words: 'religion vegetarian avoid' },
  { id: 'devices', title: 'Devices', words: 'scale probe scanner printer outbox code' },
  {
    id: 'archive',
    title: 'The whole setting as one file',
    words: 'export import backup file move',
    who: 'owner',
  },
  { id: 'keeping', title: 'How long records are kept', words: 'erase delete days data log', who: 'owner' },
]
const states = computed(() =>
  settingStore.setting
    ? settingStates(
        settingStore.setting.rules,
        settingStore.setting.adults,
        settingStore.setting.words?.length ?? 0,
      )
    : null,
)
const search = ref('')
const shown = (t: Topic): boolean =>
  (t.who === undefined || (t.who === 'owner' ? auth.isOwner() : auth.isLeader())) &&
  search.value
    .trim()
    .toLowerCase()
    .split(/\s+/)
    .every((w) => `${t.title} ${t.words}`.toLowerCase().includes(w))
</script>

<template>
  <main id="main" class="mx-auto max-w-4xl px-5 py-4">
    <div class="mb-4 flex flex-wrap items-end gap-3">
      <div>
        <h1 class="text-3xl">Setting</h1>
        <p class="text-soft">{{ auth.setting }}</p>
      </div>
      <label class="ml-auto font-semibold"
        >Find <input v-model="search" type="search" class="field !inline-block !w-52 font-normal"
      /></label>
    </div>
    <Notice v-if="fault || settingStore.fault" tone="fault" class="mb-3">{{
      fault || settingStore.fault
    }}</Notice>
    <p v-if="said" role="status" class="mb-3">{{ said }}</p>
    <p v-if="search.trim() !== '' && !TOPICS.some((t) => shown(t))" role="status">
      Nothing here is called that. Foods, prices and measures are in the
      <RouterLink class="underline" to="/cupboard">Cupboard</RouterLink>.
    </p>
    <div v-if="settingStore.setting" class="grid gap-2">
      <Fold
        v-for="t in TOPICS.filter(shown)"
        :key="t.id"
        :title="t.title"
        :says="states?.[t.id as SettingTopic]"
        :open="search.trim() !== ''"
      >
        <SettingAdults v-if="t.id === 'adults'" />
        <SettingRules
          v-else-if="t.id === 'rules'"
          :rules="settingStore.setting.rules"
          :disabled="!auth.isOwner()"
          @save="keepRules($event, 'House rules saved.')"
        />
        <SettingTechniques
          v-else-if="t.id === 'ages'"
          :rules="settingStore.setting.rules"
          :disabled="!auth.isOwner()"
          @save="keepRules"
        />
        <SettingRatios
          v-else-if="t.id === 'ratios'"
          :rules="settingStore.setting.rules"
          :disabled="!auth.isOwner()"
          @save="keepRules"
        />
        <SettingTargets
          v-else-if="t.id === 'goals'"
          :rules="settingStore.setting.rules"
          :disabled="!auth.isOwner()"
          @save="keepRules"
        />
        <SettingWords v-else-if="t.id === 'words'" />
        <SettingDiets v-else-if="t.id === 'diets'" />
        <p v-else-if="t.id === 'devices'">
          <RouterLink class="underline" to="/setting/devices"
            >Devices: scale, probe, scanner, outbox</RouterLink
          >
        </p>
        <SettingArchive v-else-if="t.id === 'archive'" />
        <SettingKeeping v-else />
      </Fold>
    </div>
    <p class="mt-4 text-sm text-soft">
      Lea {{ VERSION }} · <a class="underline" href="/third-party-notices.txt">the works of others in it</a>
    </p>
  </main>
</template>
