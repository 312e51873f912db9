'use client';

import { Moon, Sun, SunMoon } from 'lucide-react';
import { useEffect, useState } from 'react';
import { currentTheme, setTheme, THEMES, type Theme } from '@/ui/theme';

const SAYS: Record<Theme, string> = {
  system: 'Theme: same as the system',
  light: 'Theme: light',
  dark: 'Theme: dark, for a dim shop',
};
const SIGNS = { system: SunMoon, light: Sun, dark: Moon } as const;

/** Goes round the three themes. */
export function ThemeButton() {
  const [theme, show] = useState<Theme>('system');
  useEffect(() => show(currentTheme()), []);
  const Sign = SIGNS[theme];
  return (
    <button
      type="button"
      aria-label={SAYS[theme]}
      title={SAYS[theme]}
      className="grid size-11 place-items-center hover:bg-selection md:size-8"
      onClick={() => {
        const next = THEMES[(THEMES.indexOf(theme) + 1) % THEMES.length] ?? 'system';
        setTheme(next);
        show(next);
      }}
    >
      <Sign size={18} aria-hidden />
    </button>
  );
}
