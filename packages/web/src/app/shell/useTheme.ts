import { useState } from 'react';

type Theme = 'day' | 'night';

const KEPT_UNDER = 'nodo.theme';

/** Day bench or night bench; the first paint is already right (public/theme.js). */
export function useTheme(): { readonly theme: Theme; readonly toggle: () => void } {
  const [theme, setTheme] = useState<Theme>(
    document.documentElement.dataset.theme === 'night' ? 'night' : 'day',
  );
  return {
    theme,
    toggle: () => {
      const other = theme === 'day' ? 'night' : 'day';
      document.documentElement.dataset.theme = other;
      localStorage.setItem(KEPT_UNDER, other);
      setTheme(other);
    },
  };
}
