import '@fontsource/barlow-semi-condensed/latin-400.css'
import '@fontsource/barlow-semi-condensed/latin-500.css'
import '@fontsource/barlow-semi-condensed/latin-600.css'
import '@fontsource/barlow-condensed/latin-500.css'
import '@fontsource/barlow-condensed/latin-600.css'
import './styles/tokens.css'
import './styles/base.css'
import './styles/drawing.css'
import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { keepFocusSeen } from './frame/keep-seen'
import { keepForNoSignal } from './newer'
import { router } from './router'
import { languageKept } from './stores/prefs'
import { turnTo } from './words/language'

await turnTo(languageKept())
createApp(App).use(createPinia()).use(router).mount('#app')
keepFocusSeen()
keepForNoSignal()
