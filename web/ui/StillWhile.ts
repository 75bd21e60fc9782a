import { defineComponent, Fragment, h, type VNode } from 'vue';

/**
 * Leaves its content as it was drawn last while nobody sees it: a folded part costs nothing when its cable changes, and
 * keeps what was typed into it. Shown again, it is drawn as things are now.
 */
export default defineComponent({
  name: 'StillWhile',
  props: { hidden: { type: Boolean, required: true } },
  setup(props, { slots }) {
    let drawn: VNode | undefined;
    return () => (props.hidden && drawn ? drawn : (drawn = h(Fragment, slots['default']?.())));
  },
});
