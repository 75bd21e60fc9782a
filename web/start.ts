import './style.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { loadLibrary } from './storage/library.ts';
import { useBench } from './stores/bench.ts';
import { usePrefs } from './stores/prefs.ts';

const app = createApp(App);
app.use(createPinia());
const library = await loadLibrary();
const bench = useBench();
bench.open(library);
usePrefs().open(library.prefs);
// The last keystrokes before the page goes away are written too.
addEventListener('pagehide', () => void bench.save());
addEventListener('visibilitychange', () => void (document.visibilityState === 'hidden' && bench.save()));
app.use(router);
await router.isReady();
app.mount('#app');
