<script setup lang="ts">
/** A setting: its adults, rules, words, and how long it keeps what. */
import { onMounted } from 'vue'
import type { HouseRules } from '@lea/core/plan'
import { VERSION } from '../shared/version'
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
const keepRules = (next: HouseRules, done = 'Kept. Plans to come use it.'): Promise<void> =>
  attempt(async () => settingStore.saveRules(next), done)
</script>

<template>
  <main id="main" class="mx-auto grid max-w-6xl items-start gap-6 px-5 py-4 lg:grid-cols-2">
    <div class="lg:col-span-2">
      <h1 class="text-3xl">Setting</h1>
      <p class="text-soft">{{ auth.setting }}</p>
      <Notice v-if="fault || settingStore.fault" tone="fault" class="mt-2">{{
        fault || settingStore.fault
      }}</Notice>
      <p v-if="said" role="status">{{ said }}</p>
    </div>
    <SettingAdults />
    <SettingRules
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules($event, 'House rules saved.')"
    />
    <SettingTechniques
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingRatios
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingTargets
      v-if="settingStore.setting"
      :rules="settingStore.setting.rules"
      :disabled="!auth.isOwner()"
      @save="keepRules"
    />
    <SettingWords v-if="settingStore.setting && auth.isLeader()" />
    <p class="mt-4">
      <RouterLink class="underline" to="/setting/devices">Devices: scale, probe, scanner, outbox</RouterLink>
    </p>
    <SettingArchive v-if="settingStore.setting && auth.isOwner()" />
    <SettingKeeping v-if="settingStore.setting && auth.isOwner()" />
    <SettingDiets v-if="settingStore.setting" />
    <p class="text-sm text-soft lg:col-span-2">Lea {{ VERSION }}</p>
  </main>
</template>
