import { daysBetween } from '../../core/model/units/days.ts';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { dayAfter } from '../../core/model/units/days.ts';
import type { Aside } from '../storage/aside.ts';
import { claimWriting, hasStore, type Library, yieldWriting } from '../storage/library.ts';
import { prefsSchema } from '../storage/prefs.ts';
import { joinTabs, type Tabs } from '../storage/tabs.ts';
import { troubleSays } from '../storage/trouble.ts';
import type { KeepVersion } from '../storage/versions.ts';
import { today } from '../ui/today.ts';
import { useBench } from './bench.ts';
import { usePrefs } from './prefs.ts';
import { say } from '../../core/words/say.ts';

/** A backup older than this is called old. */
const OLD_DAYS = 14;
/** And the reminder of it is put off for so long. */
const PUT_OFF_DAYS = 7;
/** A clock that was put back makes nothing younger than made today. */
const ageDays = (iso: string) =>
  iso === '' ? Number.POSITIVE_INFINITY : Math.max(0, daysBetween(iso, new Date().toISOString()));
/** A store that cannot be read is asked again after so long, ms, before that is said. */
const READ_AGAIN_MS = [150, 600, 1500] as const;
const waited = (ms: number) => new Promise((resolve) => setTimeout(resolve, ms));

/** How well what a person makes is kept: which tab writes, whether the store can be used, how old the backup is. */
// oxlint-disable-next-line max-lines-per-function -- one closure: its parts share the state that it sets up
export const useKeeping = defineStore('keeping', () => {
  const bench = useBench();
  const prefsStore = usePrefs();
  const { prefs } = prefsStore;
  /** Why nothing is kept; empty where all is well. */
  const trouble = ref('');
  const unreadable = shallowRef<readonly Aside[]>([]);
  /** What is stored could not be read: nothing is written, and no demo made, until it was. */
  const isUnread = ref(false);
  let tabs: Tabs | null = null;
  let hasAskedToPersist = false;

  /**
   * Reads what is stored. A browser without a store has nothing that could be written over: there everything is kept in
   * memory only, and that is said. A store that is there and cannot be read is asked again; until it answers nothing is
   * written.
   */
  async function read(
    load: (isWriting: boolean) => Promise<Library>,
    isWriting: boolean,
  ): Promise<Library | null> {
    for (let tries = 0; ; tries += 1) {
      try {
        const library = await load(isWriting);
        bench.open(library);
        unreadable.value = library.unreadable;
        trouble.value = '';
        isUnread.value = false;
        return library;
      } catch (error) {
        const wait = READ_AGAIN_MS[tries];
        const isThere = await hasStore();
        if (isThere && wait !== undefined) {
          await waited(wait);
          continue;
        }
        isUnread.value = isThere;
        trouble.value = isThere
          ? say`What this browser keeps could not be read. Nothing was changed, and nothing is written until it can be.`
          : troubleSays(error);
        bench.lockWith(trouble.value);
        return null;
      }
    }
  }

  let readAgain: () => Promise<unknown> = () => Promise.resolve();

  /**
   * Opens what is stored, once it is agreed with other tabs which of them writes.
   *
   * @param load reads the library, and finishes a save that was torn off where this tab writes
   */
  function open(load: (isWriting: boolean) => Promise<Library>): Promise<void> {
    const take = (isWriting: boolean) => read(load, isWriting);
    bench.tellSaved((before) => {
      tabs?.tellSaved();
      void keepVersions(before);
      void persist();
    });
    bench.tellLost(() => bench.follow(true));
    return new Promise((resolve) => {
      let isOpen = false;
      const opened = (library: Library | null) => {
        if (!isOpen) prefsStore.open(library?.prefs ?? prefsSchema.parse({}), library !== null);
        isOpen = true;
        resolve();
      };
      readAgain = async () => {
        const library = await take(!bench.isFollowing);
        if (library) prefsStore.takeOver(library.prefs);
      };
      tabs = joinTabs({
        lead: async () => {
          // Where nothing can be stored, nobody has to be kept from it.
          await claimWriting().catch(() => {});
          opened(await take(true));
          bench.follow(false);
        },
        follow: () => {
          yieldWriting();
          bench.follow(true);
          if (!isOpen) void take(false).then(opened);
        },
        changed: () => void take(false),
        flush: () => bench.save(),
      });
    });
  }

  let keepVersion: KeepVersion | undefined;
  /** Versions are a second net: where they cannot be kept, what was saved is saved all the same. */
  async function keepVersions(before: Parameters<Parameters<typeof bench.tellSaved>[0]>[0]): Promise<void> {
    const { keepsVersions } = await import('../storage/versions.ts');
    keepVersion ??= keepsVersions();
    for (const job of before) await keepVersion(job, Date.now()).catch(() => {});
  }

  /** Asks the browser not to clear this store, once there is work of this person in it: not on a first look. */
  async function persist(): Promise<void> {
    if (hasAskedToPersist || !bench.hasWorked) return;
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
      ageDays(prefs.backedUp || prefs.firstWorked) > OLD_DAYS &&
      prefs.backupPutOff < today(),
  );
  const backupAge = computed(() =>
    prefs.backedUp === ''
      ? say`There is no backup of this browser yet.`
      : say`The last backup is ${Math.floor(ageDays(prefs.backedUp))} days old.`,
  );
  function putOffBackup(): void {
    prefs.backupPutOff = dayAfter(today(), PUT_OFF_DAYS);
  }

  return {
    trouble,
    unreadable,
    isUnread,
    open,
    readAgain: () => readAgain(),
    takeOver: () => tabs?.takeOver(),
    isBackupOld,
    backupAge,
    putOffBackup,
  };
});
