import { reactive } from 'vue';

/** Parts of the stages that are open, by their names: opened on one cable they are open on the next. */
export const openParts = reactive(new Set<string>());

export const togglePart = (part: string): void => void (openParts.delete(part) || openParts.add(part));
