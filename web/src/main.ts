import { createPinia } from 'pinia'
import { createApp, type Component } from 'vue'
import App from './App.vue'
import { makeRouter } from './router'
import { sweepCache } from './offline-cache/answers'
import { keepShell } from './offline-cache/shell'
import './styles/main.css'

createApp(App as Component)
  .use(createPinia())
  .use(makeRouter())
  .mount('#app')
keepShell()
void sweepCache()
