export const THEMES = ['system', 'light', 'dark'] as const;
export type Theme = (typeof THEMES)[number];

/** The theme lives in a cookie: it is there where a page may use no other storage. */
const THEME_COOKIE = 'theme';

/** Shows the theme that was chosen last before anything of a page is painted: runs in its head. */
export const SHOW_THEME = `document.documentElement.dataset.theme=(/(?:^|; )${THEME_COOKIE}=(${THEMES.join('|')})(?:;|$)/.exec(document.cookie)||[])[1]||'system'`;

/** The theme the page shows now. */
export const currentTheme = (): Theme =>
  THEMES.find((theme) => theme === document.documentElement.dataset.theme) ?? 'system';

export function setTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  // biome-ignore lint/suspicious/noDocumentCookie: the Cookie Store API is not in every browser
  document.cookie = `${THEME_COOKIE}=${theme}; path=/; max-age=31536000; samesite=strict`;
}
