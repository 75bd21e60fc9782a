import { useUserMedia } from '@vueuse/core';
import { type Ref, watch } from 'vue';

/**
 * The camera at the back, shown in a video; let go of with the part that uses it.
 *
 * @param size as large as it is wanted, where that matters
 */
export function useCamera(
  video: Readonly<Ref<HTMLVideoElement | null>>,
  size: Pick<MediaTrackConstraints, 'width' | 'height'> = {},
) {
  const { stream, start, stop } = useUserMedia({
    constraints: { video: { facingMode: 'environment', ...size } },
  });
  watch([video, stream], ([shown, from]) => {
    if (shown && from) shown.srcObject = from;
  });
  return {
    stream,
    stop,
    /** Whether there is one, and it may be used here. */
    start: () =>
      start().then(
        () => stream.value !== undefined,
        () => false,
      ),
    /** The video, once there is something to see in it. */
    seen: () => {
      const shown = video.value;
      return shown && shown.readyState >= HTMLMediaElement.HAVE_CURRENT_DATA ? shown : null;
    },
  };
}
