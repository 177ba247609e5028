import { createPinia } from 'pinia'
import { createApp, type Component } from 'vue'
import App from './App.vue'
import { makeRouter, readPage } from './router'
import { countryText } from './shared/country'
import { sweepCache } from './offline-cache/answers'
import { keepShell } from './offline-cache/shell'
import './styles/main.css'

const app = createApp(App as Component)
app.config.globalProperties['$words'] = countryText
const router = makeRouter()
app.use(createPinia()).use(router).mount('#app')
readPage(router)
keepShell()
void sweepCache()
