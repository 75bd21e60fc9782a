import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { dayAfter } from '../../core/units/days.ts';
import type { Library } from '../storage/library.ts';
import { prefsSchema } from '../storage/prefs.ts';
import { joinTabs, type Tabs } from '../storage/tabs.ts';
import { troubleSays } from '../storage/trouble.ts';
import { today } from '../ui/today.ts';
import { useBench } from './bench.ts';
import { usePrefs } from './prefs.ts';
import { say } from '../../core/words/say.ts';

/** A backup older than this is called old. */
const OLD_DAYS = 14;
/** And the reminder of it is put off for so long. */
const PUT_OFF_DAYS = 7;
const DAY_MS = 86_400_000;
const daysSince = (iso: string) =>
  iso === '' ? Number.POSITIVE_INFINITY : (Date.now() - Date.parse(iso)) / DAY_MS;

/** How well what a person makes is kept: which tab writes, whether the store can be used, how old the backup is. */
export const useKeeping = defineStore('keeping', () => {
  const bench = useBench();
  const prefsStore = usePrefs();
  const { prefs } = prefsStore;
  /** Why nothing is kept; empty where all is well. */
  const trouble = ref('');
  const unreadable = ref<readonly string[]>([]);
  let tabs: Tabs | null = null;
  let hasAskedToPersist = false;

  /**
   * Opens what is stored, once it is agreed with other tabs which of them writes.
   *
   * @param load reads the library, and finishes a save that was torn off where this tab writes; where it cannot be
   *   read, everything is kept in memory only, and that is said
   */
  function open(load: (isWriting: boolean) => Promise<Library>): Promise<void> {
    const take = async (isWriting: boolean) => {
      try {
        const library = await load(isWriting);
        bench.open(library);
        unreadable.value = library.unreadable;
        trouble.value = '';
        return library;
      } catch (error) {
        trouble.value = troubleSays(error);
        return null;
      }
    };
    bench.tellSaved((before) => {
      tabs?.tellSaved();
      void keepVersions(before);
      void persist();
    });
    return new Promise((resolve) => {
      let isOpen = false;
      const opened = (library: Library | null) => {
        if (!isOpen) prefsStore.open(library?.prefs ?? prefsSchema.parse({}));
        isOpen = true;
        resolve();
      };
      tabs = joinTabs({
        lead: async () => {
          opened(await take(true));
          bench.follow(false);
        },
        follow: () => {
          bench.follow(true);
          if (!isOpen) void take(false).then(opened);
        },
        changed: () => void take(false),
        flush: () => bench.save(),
      });
    });
  }

  /** Versions are a second net: where they cannot be kept, what was saved is saved all the same. */
  async function keepVersions(before: Parameters<Parameters<typeof bench.tellSaved>[0]>[0]): Promise<void> {
    const { keepVersion } = await import('../storage/versions.ts');
    for (const job of before) await keepVersion(job, Date.now()).catch(() => {});
  }

  /** Asks the browser not to clear this store, once there is work of this person in it: not on a first look. */
  async function persist(): Promise<void> {
    if (hasAskedToPersist || !bench.undoable || bench.undoable.startsWith('demo')) return;
    hasAskedToPersist = true;
    prefs.firstWorked ||= today();
    if (await navigator.storage?.persisted?.().catch(() => true)) return;
    await navigator.storage?.persist?.().catch(() => false);
  }

  /** Whether it is time for a backup: there is work here, the last one is old, and the reminder is not put off. */
  const isBackupOld = computed(
    () =>
      !bench.isFollowing &&
      prefs.firstWorked !== '' &&
      daysSince(prefs.backedUp || prefs.firstWorked) > OLD_DAYS &&
      prefs.backupPutOff < today(),
  );
  const backupAge = computed(() =>
    prefs.backedUp === ''
      ? say`There is no backup of this browser yet.`
      : say`The last backup is ${Math.floor(daysSince(prefs.backedUp))} days old.`,
  );
  function putOffBackup(): void {
    prefs.backupPutOff = dayAfter(today(), PUT_OFF_DAYS);
  }

  return {
    trouble,
    unreadable,
    open,
    takeOver: () => tabs?.takeOver(),
    isBackupOld,
    backupAge,
    putOffBackup,
  };
});
