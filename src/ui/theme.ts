export type Theme = 'day' | 'night';

/** Day for paper light, night for a dim hall. Kept in a cookie, so that the first paint is right. */
export function setTheme(theme: Theme): void {
  document.documentElement.dataset.theme = theme;
  document.cookie = `vowstep-theme=${theme}; path=/; max-age=31536000; samesite=strict`;
}
