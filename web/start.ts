import './style.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { loadLibrary } from './storage/library.ts';
import { useBench } from './stores/bench.ts';
import { useKeeping } from './stores/keeping.ts';
import { useUpdates } from './stores/updates.ts';

const app = createApp(App);
app.use(createPinia());
const bench = useBench();
await useKeeping().open(loadLibrary);
// The last keystrokes before the page goes away are written too.
addEventListener('pagehide', () => void bench.save());
addEventListener('visibilitychange', () => void (document.visibilityState === 'hidden' && bench.save()));
app.use(router);
await router.isReady();
app.mount('#app');
void useUpdates().watchFor();
