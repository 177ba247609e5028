import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { makeRouter } from './router'
import { sweepAnswers } from './kept/answers'
import { keepShell } from './kept/shell'
import './styles/main.css'

createApp(App).use(createPinia()).use(makeRouter()).mount('#app')
keepShell()
void sweepAnswers()
