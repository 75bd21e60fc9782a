import { onMounted, type Ref, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { draftOf, keepDraft } from '../storage/drafts.ts';

/** Where a field stands: the address, what it lies in by name, its own label, and which of several alike it is. */
function placeOf(element: Element, path: string, label: string): string {
  const within: string[] = [];
  for (let at = element.parentElement; at; at = at.parentElement) {
    const name = at.getAttribute('aria-label');
    if (name) within.unshift(name);
  }
  const alike = [...document.querySelectorAll('input, textarea')].filter(
    (own) => own.getAttribute('data-draft') === label,
  );
  return [path, ...within, label, alike.indexOf(element as HTMLInputElement)].join(' | ');
}

/**
 * Keeps what is typed into a field until it is entered. After a page that went away, it stands in the field again, as
 * typed and not entered.
 *
 * @param element the input, marked with `data-draft`
 * @param typed what stands in the field
 * @param entered what the field showed before it was typed into
 */
export function useDraft(
  element: Readonly<Ref<HTMLInputElement | HTMLTextAreaElement | null>>,
  label: () => string,
  typed: Ref<string>,
  entered: () => string,
) {
  const route = useRoute() as ReturnType<typeof useRoute> | undefined;
  /** What stands here was typed before and not entered. */
  const isBack = ref(false);
  let key = '';
  onMounted(() => {
    if (!element.value || !route) return;
    key = placeOf(element.value, route.path, label());
    const before = draftOf(key);
    if (before === undefined || before === entered()) return;
    typed.value = before;
    isBack.value = true;
  });
  watch([typed, entered], ([text, is]) => {
    if (key === '') return;
    if (text === is) isBack.value = false;
    keepDraft(key, text === is ? null : text);
  });
  return { isBack };
}
