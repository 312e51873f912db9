export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];

/** The theme lives in a cookie, so that the first paint already has it. */
export const THEME_COOKIE = 'theme';

export const readTheme = (text: string | undefined): Theme =>
  THEMES.find((theme) => theme === text) ?? 'system';

/** The theme the page shows now. */
export const currentTheme = (): Theme => readTheme(document.documentElement.dataset.theme);

export function setTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
  document.cookie = `${THEME_COOKIE}=${theme}; path=/; max-age=31536000; samesite=strict`;
}
