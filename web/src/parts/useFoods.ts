import { computed, type ComputedRef } from 'vue'
import { type FoodBook, listedFoods } from '@lea/core/food'
import { useSettingStore } from '../stores/setting'

/** Lea's foods and the setting's own, for pages that name or list them. Own foods hold what their names say: the server has read them. */
export function useFoods(): ComputedRef<FoodBook> {
  const settingStore = useSettingStore()
  return computed(() => listedFoods(settingStore.setting?.foods ?? []))
}
