import { computed } from 'vue';
import { usePrefs } from '../../stores/prefs.ts';

/** The page's colours for a canvas, read again whenever the theme changes. */
export function useChartColours() {
  const prefs = usePrefs();
  return computed(() => {
    void prefs.isDark;
    const style = getComputedStyle(document.documentElement);
    const of = (name: string) => style.getPropertyValue(`--${name}`).trim();
    return {
      ink: of('ink'),
      ink2: of('ink2'),
      ink3: of('ink3'),
      grid: of('grid'),
      buff: of('buff'),
      teal: of('teal'),
      paper: of('paper'),
      copperText: of('copper-text'),
      copper: of('copper'),
      crimp: of('crimp'),
    };
  });
}

export const CHART_FONT = { family: '"Barlow Condensed"', size: 14 } as const;
