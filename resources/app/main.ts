import '@fontsource/fredoka/latin-500.css'
import '@fontsource/fredoka/latin-600.css'
import '@fontsource/nunito-sans/latin-400.css'
import '@fontsource/nunito-sans/latin-600.css'
import '@fontsource/nunito-sans/latin-700.css'
import 'vuetify/styles'
import './style/table.css'
import { speak, wanted } from './lang'

// Labels are looked up when a screen's file is read: their words come first.
await speak(wanted()).catch(() => {})
await import('./start')
