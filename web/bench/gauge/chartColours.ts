import { computed } from 'vue';
import { usePrefs } from '../../stores/prefs.ts';

/** The page's colours for a canvas, read again whenever the theme changes. */
export function useChartColours() {
  const prefs = usePrefs();
  return computed(() => {
    void prefs.isDark;
    const style = getComputedStyle(document.documentElement);
    const colour = (name: string) => style.getPropertyValue(`--${name}`).trim();
    return {
      ink: colour('ink'),
      ink2: colour('ink2'),
      ink3: colour('ink3'),
      grid: colour('grid'),
      buff: colour('buff'),
      teal: colour('teal'),
      paper: colour('paper'),
      copperText: colour('copper-text'),
      copper: colour('copper'),
      crimp: colour('crimp'),
    };
  });
}

export const CHART_FONT = { family: '"Barlow Condensed"', size: 14 } as const;
