import './style.css';
import { createPinia } from 'pinia';
import { createApp, watch } from 'vue';
import App from './App.vue';
import { router } from './router.ts';
import { flushDrafts, loadDrafts } from './storage/drafts.ts';
import { loadLibrary } from './storage/library.ts';
import { useBench } from './stores/bench.ts';
import { useKeeping } from './stores/keeping.ts';
import { useUpdates } from './stores/updates.ts';
import { faults, report } from './trouble/faults.ts';
import { opened } from './trouble/lastPlace.ts';
import { keepFocus } from './ui/keepFocus.ts';
import { say } from '../core/words/say.ts';

/** Longer than a store takes to open on a slow telephone. */
const PATIENCE_MS = 4000;
const app = createApp(App);
// What no part caught is noted and said; it never takes the page away.
app.config.errorHandler = (error, _, info) => void report(error, info);
addEventListener('unhandledrejection', ({ reason }) => void report(reason, 'promise'));
addEventListener(
  'vite:preloadError',
  (event) => void report((event as Event & { payload: unknown }).payload, 'preloadError'),
);
app.use(createPinia());
const bench = useBench();
// A store that another tab holds cannot be opened, and nothing can be shown without it: but that.
const waits = setTimeout(() => {
  const told = document.createElement('p');
  told.setAttribute('role', 'status');
  told.className = 'm-6 max-w-[60ch] text-[17px] font-bold';
  told.textContent = say`What this browser keeps cannot be opened yet. Close other tabs of Gruff Anchor, or wait: nothing is lost.`;
  document.querySelector('#app')?.replaceChildren(told);
}, PATIENCE_MS);
await Promise.all([useKeeping().open(loadLibrary), loadDrafts()]);
clearTimeout(waits);
// What was entered is no draft any more once it is kept as work.
watch(
  () => bench.saveState,
  ({ kind }) => kind === 'saved' && void flushDrafts(),
);
// The last keystrokes before the page goes away are written too.
const saveAll = () => void Promise.all([bench.save(), flushDrafts()]);
addEventListener('pagehide', saveAll);
addEventListener('visibilitychange', () => document.visibilityState === 'hidden' && saveAll());
app.use(router);
router.onError((error) => void report(error, 'route'));
await router.isReady().catch((error: unknown) => void report(error, 'route'));
app.mount('#app');
keepFocus();
// Two frames later it has been drawn: what was opened is no trouble, unless something of it failed.
requestAnimationFrame(() => requestAnimationFrame(() => faults.value.length === 0 && opened()));
void useUpdates().watchFor();
