/** The looks a person can choose: by day, by night, and in bad light on site. */
export const THEMES = ['light', 'dark', 'site'] as const
export type Theme = (typeof THEMES)[number]
export const THEME_COOKIE = 'regla-theme'
